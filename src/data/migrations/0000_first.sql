CREATE TABLE `arenas` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`name` text NOT NULL,
	`width_m` real NOT NULL,
	`length_m` real NOT NULL,
	`letters` text NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `horses` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`name` text NOT NULL,
	`height_m` real NOT NULL,
	`type` text NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `layout_versions` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`layout_id` text NOT NULL,
	`revision` integer NOT NULL,
	`fingerprint` text NOT NULL,
	`name` text NOT NULL,
	`document` text NOT NULL,
	`frozen` text NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`layout_id`) REFERENCES `layouts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `one_version_of_each_state` ON `layout_versions` (`layout_id`,`fingerprint`);--> statement-breakpoint
CREATE TABLE `layouts` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`name` text NOT NULL,
	`arena_id` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`document` text NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	`updated_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`arena_id`) REFERENCES `arenas`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `marks` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`pass_id` text NOT NULL,
	`kind` text NOT NULL,
	`place` integer,
	`fraction` real,
	`words` text,
	`marked_at` integer NOT NULL,
	`undone_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pass_id`) REFERENCES `passes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `marks_by_pass` ON `marks` (`pass_id`);--> statement-breakpoint
CREATE TABLE `pairs` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`rider_id` text NOT NULL,
	`horse_id` text NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`rider_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`horse_id`) REFERENCES `horses`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `one_pair_of_each` ON `pairs` (`rider_id`,`horse_id`);--> statement-breakpoint
CREATE TABLE `passes` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`pair_id` text NOT NULL,
	`layout_version_id` text NOT NULL,
	`stage` text NOT NULL,
	`rein` text NOT NULL,
	`direction` text NOT NULL,
	`ridden_at` integer NOT NULL,
	`undone_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pair_id`) REFERENCES `pairs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`layout_version_id`) REFERENCES `layout_versions`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `passes_by_pair` ON `passes` (`pair_id`,`ridden_at`);--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`step_length_m` real,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `settings` (
	`yard_id` text NOT NULL,
	`key` text NOT NULL,
	`value` text NOT NULL,
	PRIMARY KEY(`yard_id`, `key`),
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `stride_ranges` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`horse_id` text NOT NULL,
	`entry` text NOT NULL,
	`short_m` real NOT NULL,
	`normal_m` real NOT NULL,
	`long_m` real NOT NULL,
	`source` text NOT NULL,
	`withdrawn_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`horse_id`) REFERENCES `horses`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stride_ranges_by_horse` ON `stride_ranges` (`horse_id`,`entry`,`created_at`);--> statement-breakpoint
CREATE TABLE `yards` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`time_zone` text NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL
);
