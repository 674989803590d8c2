CREATE TABLE `former_states` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`subject` text NOT NULL,
	`subject_id` text NOT NULL,
	`was` text NOT NULL,
	`until` integer NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `former_states_by_subject` ON `former_states` (`subject`,`subject_id`,`until`);--> statement-breakpoint
CREATE TABLE `lesson_joins` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`lesson_id` text NOT NULL,
	`pair_id` text NOT NULL,
	`said_pair_id` text NOT NULL,
	`instead_of` text,
	`joined_at` integer NOT NULL,
	`said_by` text,
	`record_number` integer DEFAULT 0 NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lesson_id`) REFERENCES `lessons`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pair_id`) REFERENCES `pairs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lesson_joins_by_lesson` ON `lesson_joins` (`lesson_id`);--> statement-breakpoint
CREATE INDEX `lesson_joins_by_pair` ON `lesson_joins` (`said_pair_id`);--> statement-breakpoint
CREATE TABLE `record_changes` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`lesson_id` text,
	`subject` text NOT NULL,
	`subject_id` text NOT NULL,
	`what` text NOT NULL,
	`made_over` text NOT NULL,
	`was` text,
	`becomes` text,
	`undoes` text,
	`said_at` integer NOT NULL,
	`said_by` text,
	`record_number` integer DEFAULT 0 NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lesson_id`) REFERENCES `lessons`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `record_changes_by_lesson` ON `record_changes` (`lesson_id`,`record_number`);--> statement-breakpoint
CREATE INDEX `record_changes_by_subject` ON `record_changes` (`subject_id`,`what`);--> statement-breakpoint
ALTER TABLE `lesson_asks` ADD `said_by` text;--> statement-breakpoint
ALTER TABLE `lesson_asks` ADD `record_number` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `lessons` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `lessons` ADD `ended_at` integer;--> statement-breakpoint
ALTER TABLE `lessons` ADD `reopened_at` integer;--> statement-breakpoint
ALTER TABLE `lessons` ADD `record_number` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `marks` ADD `said_by` text;--> statement-breakpoint
ALTER TABLE `passes` ADD `said_at` integer;--> statement-breakpoint
ALTER TABLE `passes` ADD `said_by` text;--> statement-breakpoint
ALTER TABLE `passes` ADD `record_number` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `walk_breaks` ADD `stage_id` text;--> statement-breakpoint
ALTER TABLE `walk_breaks` ADD `said_by` text;--> statement-breakpoint
ALTER TABLE `walk_breaks` ADD `record_number` integer DEFAULT 0 NOT NULL;