CREATE TABLE `own_exercises` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`title` text NOT NULL,
	`purposes` text NOT NULL,
	`level` text NOT NULL,
	`document` text NOT NULL,
	`archived_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `layout_versions` ADD `reason` text DEFAULT 'ridden' NOT NULL;--> statement-breakpoint
ALTER TABLE `layouts` ADD `tags` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `layouts` ADD `archived_at` integer;