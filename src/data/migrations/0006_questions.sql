CREATE TABLE `questions` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`document` text NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `lesson_asks` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`lesson_id` text NOT NULL,
	`stage_id` text NOT NULL,
	`pair_id` text,
	`question_id` text NOT NULL,
	`asked_at` integer NOT NULL,
	`undone_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lesson_id`) REFERENCES `lessons`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pair_id`) REFERENCES `pairs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`question_id`) REFERENCES `questions`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lesson_asks_by_lesson` ON `lesson_asks` (`lesson_id`,`asked_at`);
--> statement-breakpoint
ALTER TABLE `passes` ALTER COLUMN "rein" TO "rein" text;
--> statement-breakpoint
ALTER TABLE `passes` ADD `stage_id` text;
--> statement-breakpoint
ALTER TABLE `passes` ADD `question_id` text REFERENCES questions(id);
--> statement-breakpoint
ALTER TABLE `stride_ranges` ADD `spread` real;
--> statement-breakpoint
ALTER TABLE `passes` ADD `tapped` text;
