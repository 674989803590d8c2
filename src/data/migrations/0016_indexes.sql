CREATE INDEX `lesson_asks_by_number` ON `lesson_asks` (`lesson_id`,`record_number`);--> statement-breakpoint
CREATE INDEX `passes_by_number` ON `passes` (`lesson_id`,`record_number`);--> statement-breakpoint
CREATE INDEX `passes_by_version` ON `passes` (`layout_version_id`,`pair_id`,`ridden_at`);--> statement-breakpoint
CREATE INDEX `passes_by_time` ON `passes` (`yard_id`,`ridden_at`);--> statement-breakpoint
CREATE INDEX `walk_breaks_by_number` ON `walk_breaks` (`lesson_id`,`record_number`);