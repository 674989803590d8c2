CREATE TABLE `goals` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`pair_id` text NOT NULL,
	`document` text NOT NULL,
	`since_day` text NOT NULL,
	`reached_day` text,
	`archived_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pair_id`) REFERENCES `pairs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `goals_by_pair` ON `goals` (`pair_id`);--> statement-breakpoint
CREATE TABLE `refusals` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`pair_ids` text NOT NULL,
	`exercise` text NOT NULL,
	`stage` integer NOT NULL,
	`refused_at` integer NOT NULL,
	`undone_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `refusals_by_time` ON `refusals` (`yard_id`,`refused_at`);--> statement-breakpoint
ALTER TABLE `lessons` ADD `goal_id` text;