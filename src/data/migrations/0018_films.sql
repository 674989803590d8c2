CREATE TABLE `film_stills` (
	`id` text PRIMARY KEY NOT NULL,
	`yard_id` text NOT NULL,
	`video_id` text NOT NULL,
	`at_s` real NOT NULL,
	`mime` text NOT NULL,
	`bytes` blob NOT NULL,
	`created_at` integer DEFAULT (unixepoch('subsec') * 1000) NOT NULL,
	FOREIGN KEY (`yard_id`) REFERENCES `yards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`video_id`) REFERENCES `videos`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `film_stills_by_video` ON `film_stills` (`video_id`,`at_s`);--> statement-breakpoint
ALTER TABLE `videos` ADD `pair_id` text REFERENCES pairs(id);--> statement-breakpoint
ALTER TABLE `videos` ADD `day` text;--> statement-breakpoint
ALTER TABLE `videos` ADD `asks` text;--> statement-breakpoint
ALTER TABLE `videos` ADD `sent_by` text;--> statement-breakpoint
ALTER TABLE `videos` ADD `length_s` real;--> statement-breakpoint
ALTER TABLE `videos` ADD `answer` text;--> statement-breakpoint
ALTER TABLE `videos` ADD `answered_at` integer;--> statement-breakpoint
CREATE INDEX `videos_by_pair` ON `videos` (`pair_id`);--> statement-breakpoint
CREATE TRIGGER `film_stills_video_id_of_its_yard_insert` BEFORE INSERT ON `film_stills`
WHEN EXISTS (SELECT 1 FROM `videos` WHERE `id` = NEW.`video_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `film_stills_video_id_of_its_yard_update` BEFORE UPDATE OF `video_id`, `yard_id` ON `film_stills`
WHEN EXISTS (SELECT 1 FROM `videos` WHERE `id` = NEW.`video_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `videos_pair_id_of_its_yard_insert` BEFORE INSERT ON `videos`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `videos_pair_id_of_its_yard_update` BEFORE UPDATE OF `pair_id`, `yard_id` ON `videos`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
