CREATE TABLE `horse_pictures` (
	`horse_id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`mime` text NOT NULL,
	`bytes` blob NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`horse_id`) REFERENCES `horses`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `kit` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`size_m` real,
	`count` integer NOT NULL,
	`archived_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `step_walks` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`person_id` text NOT NULL,
	`length_m` real NOT NULL,
	`steps` real NOT NULL,
	`walked_at` integer NOT NULL,
	`undone_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `step_walks_by_person` ON `step_walks` (`person_id`,`walked_at`);--> statement-breakpoint
CREATE TABLE `stride_test_passes` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`test_id` text NOT NULL,
	`position` integer NOT NULL,
	`pace` text NOT NULL,
	`count` integer NOT NULL,
	`part` real,
	`voided` integer DEFAULT false NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`test_id`) REFERENCES `stride_tests`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stride_test_passes_by_test` ON `stride_test_passes` (`test_id`,`position`);--> statement-breakpoint
CREATE TABLE `stride_tests` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`horse_id` text NOT NULL,
	`rider_id` text,
	`entry` text NOT NULL,
	`lane_m` real,
	`lane_steps` real,
	`stepper_id` text,
	`moment` text NOT NULL,
	`rhythm` integer,
	`roundness` integer,
	`balance` integer,
	`note` text DEFAULT '' NOT NULL,
	`tested_at` integer NOT NULL,
	`archived_at` integer,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`horse_id`) REFERENCES `horses`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`rider_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`stepper_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stride_tests_by_horse` ON `stride_tests` (`horse_id`,`entry`,`tested_at`);--> statement-breakpoint
ALTER TABLE `arenas` ADD `boundary` text DEFAULT 'walls' NOT NULL;--> statement-breakpoint
ALTER TABLE `arenas` ADD `marks` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `arenas` ADD `archived_at` integer;--> statement-breakpoint
ALTER TABLE `horses` ADD `born_year` integer;--> statement-breakpoint
ALTER TABLE `horses` ADD `level` text DEFAULT 'novice' NOT NULL;--> statement-breakpoint
ALTER TABLE `horses` ADD `stiff_side` text;--> statement-breakpoint
ALTER TABLE `horses` ADD `notes` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `horses` ADD `archived_at` integer;--> statement-breakpoint
ALTER TABLE `pairs` ADD `archived_at` integer;--> statement-breakpoint
ALTER TABLE `people` ADD `archived_at` integer;--> statement-breakpoint
ALTER TABLE `stride_ranges` ADD `test_id` text REFERENCES stride_tests(id);--> statement-breakpoint
ALTER TABLE `stride_ranges` ADD `low_m` real;--> statement-breakpoint
ALTER TABLE `stride_ranges` ADD `high_m` real;