CREATE TABLE `lessons` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`name` text NOT NULL,
	`arena_id` text NOT NULL,
	`starts_at` integer NOT NULL,
	`document` text NOT NULL,
	`acknowledged_at` integer,
	`archived_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`arena_id`) REFERENCES `arenas`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lessons_by_start` ON `lessons` (`yard_id`,`starts_at`);--> statement-breakpoint
CREATE TABLE `walk_breaks` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`lesson_id` text NOT NULL,
	`pair_id` text NOT NULL,
	`walked_at` integer NOT NULL,
	`undone_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lesson_id`) REFERENCES `lessons`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pair_id`) REFERENCES `pairs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `walk_breaks_by_lesson` ON `walk_breaks` (`lesson_id`,`walked_at`);--> statement-breakpoint
ALTER TABLE `marks` ADD `document` text;--> statement-breakpoint
ALTER TABLE `passes` ADD `lesson_id` text REFERENCES lessons(id);--> statement-breakpoint
CREATE INDEX `passes_by_lesson` ON `passes` (`lesson_id`,`ridden_at`);