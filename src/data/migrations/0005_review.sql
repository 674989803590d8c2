CREATE TABLE `video_notes` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`video_id` text NOT NULL,
	`at_s` real NOT NULL,
	`kind` text NOT NULL,
	`words` text DEFAULT '' NOT NULL,
	`undone_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`video_id`) REFERENCES `videos`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `video_notes_by_video` ON `video_notes` (`video_id`,`at_s`);--> statement-breakpoint
CREATE TABLE `videos` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`pass_id` text,
	`test_id` text,
	`file_name` text NOT NULL,
	`mime` text NOT NULL,
	`size_bytes` integer NOT NULL,
	`sha256` text NOT NULL,
	`removed_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pass_id`) REFERENCES `passes`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`test_id`) REFERENCES `stride_tests`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `videos_by_pass` ON `videos` (`pass_id`);--> statement-breakpoint
CREATE INDEX `videos_by_test` ON `videos` (`test_id`);