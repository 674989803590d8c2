CREATE TABLE `saves` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`answer` text NOT NULL,
	`saved_at` integer NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `saves_by_time` ON `saves` (`saved_at`);