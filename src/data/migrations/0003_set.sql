CREATE TABLE `setting_ticks` (
	`yard_id` text NOT NULL,
	`layout_id` text NOT NULL,
	`piece` text NOT NULL,
	`place` text NOT NULL,
	`ticked` integer NOT NULL,
	`tapped_at` integer NOT NULL,
	PRIMARY KEY(`layout_id`, `piece`),
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`layout_id`) REFERENCES `layouts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `standings` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`layout_id` text NOT NULL,
	`revision` integer NOT NULL,
	`document` text NOT NULL,
	`put_back_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`layout_id`) REFERENCES `layouts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `standings_by_layout` ON `standings` (`layout_id`,`created_at`);