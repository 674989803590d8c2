CREATE TABLE `changed_days` (
	`no` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`yard_id` text NOT NULL,
	`pair_id` text NOT NULL,
	`day` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `changed_days_of_pair` ON `changed_days` (`yard_id`,`pair_id`,`day`);--> statement-breakpoint
CREATE TABLE `kept_by` (
	`yard_id` text PRIMARY KEY NOT NULL,
	`made_by` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `kept_days` (
	`no` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`yard_id` text NOT NULL,
	`pair_id` text NOT NULL,
	`day` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `kept_days_of_pair` ON `kept_days` (`yard_id`,`pair_id`,`day`);--> statement-breakpoint
CREATE TABLE `kept_grounds` (
	`yard_id` text NOT NULL,
	`name` text NOT NULL,
	`made_by` text NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`yard_id`, `name`)
);--> statement-breakpoint
CREATE TRIGGER `passes_changed_days_insert` AFTER INSERT ON `passes`
BEGIN
  DELETE FROM `changed_days` WHERE `yard_id` = NEW.`yard_id` AND `pair_id` = NEW.`pair_id` AND `day` = NEW.`ridden_at` / 86400000;
  INSERT INTO `changed_days` (`yard_id`, `pair_id`, `day`) VALUES (NEW.`yard_id`, NEW.`pair_id`, NEW.`ridden_at` / 86400000);
END;
--> statement-breakpoint
CREATE TRIGGER `passes_changed_days_update` AFTER UPDATE ON `passes`
BEGIN
  DELETE FROM `changed_days` WHERE `yard_id` = OLD.`yard_id` AND `pair_id` = OLD.`pair_id` AND `day` = OLD.`ridden_at` / 86400000;
  INSERT INTO `changed_days` (`yard_id`, `pair_id`, `day`) VALUES (OLD.`yard_id`, OLD.`pair_id`, OLD.`ridden_at` / 86400000);
  DELETE FROM `changed_days` WHERE `yard_id` = NEW.`yard_id` AND `pair_id` = NEW.`pair_id` AND `day` = NEW.`ridden_at` / 86400000;
  INSERT INTO `changed_days` (`yard_id`, `pair_id`, `day`) VALUES (NEW.`yard_id`, NEW.`pair_id`, NEW.`ridden_at` / 86400000);
END;
--> statement-breakpoint
CREATE TRIGGER `passes_changed_days_delete` AFTER DELETE ON `passes`
BEGIN
  DELETE FROM `changed_days` WHERE `yard_id` = OLD.`yard_id` AND `pair_id` = OLD.`pair_id` AND `day` = OLD.`ridden_at` / 86400000;
  INSERT INTO `changed_days` (`yard_id`, `pair_id`, `day`) VALUES (OLD.`yard_id`, OLD.`pair_id`, OLD.`ridden_at` / 86400000);
END;
--> statement-breakpoint
CREATE TRIGGER `marks_changed_days_insert` AFTER INSERT ON `marks`
BEGIN
  DELETE FROM `changed_days` WHERE (`yard_id`, `pair_id`, `day`) IN (SELECT `yard_id`, `pair_id`, `ridden_at` / 86400000 FROM `passes` WHERE `id` = NEW.`pass_id`);
  INSERT INTO `changed_days` (`yard_id`, `pair_id`, `day`) SELECT `yard_id`, `pair_id`, `ridden_at` / 86400000 FROM `passes` WHERE `id` = NEW.`pass_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `marks_changed_days_update` AFTER UPDATE ON `marks`
BEGIN
  DELETE FROM `changed_days` WHERE (`yard_id`, `pair_id`, `day`) IN (SELECT `yard_id`, `pair_id`, `ridden_at` / 86400000 FROM `passes` WHERE `id` = OLD.`pass_id`);
  INSERT INTO `changed_days` (`yard_id`, `pair_id`, `day`) SELECT `yard_id`, `pair_id`, `ridden_at` / 86400000 FROM `passes` WHERE `id` = OLD.`pass_id`;
  DELETE FROM `changed_days` WHERE (`yard_id`, `pair_id`, `day`) IN (SELECT `yard_id`, `pair_id`, `ridden_at` / 86400000 FROM `passes` WHERE `id` = NEW.`pass_id`);
  INSERT INTO `changed_days` (`yard_id`, `pair_id`, `day`) SELECT `yard_id`, `pair_id`, `ridden_at` / 86400000 FROM `passes` WHERE `id` = NEW.`pass_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `marks_changed_days_delete` AFTER DELETE ON `marks`
BEGIN
  DELETE FROM `changed_days` WHERE (`yard_id`, `pair_id`, `day`) IN (SELECT `yard_id`, `pair_id`, `ridden_at` / 86400000 FROM `passes` WHERE `id` = OLD.`pass_id`);
  INSERT INTO `changed_days` (`yard_id`, `pair_id`, `day`) SELECT `yard_id`, `pair_id`, `ridden_at` / 86400000 FROM `passes` WHERE `id` = OLD.`pass_id`;
END;