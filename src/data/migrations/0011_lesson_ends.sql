CREATE TABLE `rider_words` (
	`yard_id` text NOT NULL,
	`lesson_id` text NOT NULL,
	`pair_id` text NOT NULL,
	`words` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`updated_at` integer NOT NULL,
	PRIMARY KEY(`lesson_id`, `pair_id`),
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lesson_id`) REFERENCES `lessons`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pair_id`) REFERENCES `pairs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `lessons` ADD `series_id` text;--> statement-breakpoint
ALTER TABLE `lessons` ADD `groups_id` text;--> statement-breakpoint
CREATE INDEX `lessons_by_series` ON `lessons` (`series_id`);--> statement-breakpoint
CREATE INDEX `lessons_by_groups` ON `lessons` (`groups_id`);