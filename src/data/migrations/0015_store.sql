CREATE TABLE `leases` (
	`name` text PRIMARY KEY NOT NULL,
	`holder` text NOT NULL,
	`until` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `store_secrets` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `store_writes` (
	`name` text PRIMARY KEY NOT NULL,
	`number` integer NOT NULL
);

--> statement-breakpoint
-- A row names only rows of its own yard, whatever asks for it.
CREATE TRIGGER `goals_pair_id_of_its_yard_insert` BEFORE INSERT ON `goals`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `goals_pair_id_of_its_yard_update` BEFORE UPDATE OF `pair_id`, `yard_id` ON `goals`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `horse_pictures_horse_id_of_its_yard_insert` BEFORE INSERT ON `horse_pictures`
WHEN EXISTS (SELECT 1 FROM `horses` WHERE `id` = NEW.`horse_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `horse_pictures_horse_id_of_its_yard_update` BEFORE UPDATE OF `horse_id`, `yard_id` ON `horse_pictures`
WHEN EXISTS (SELECT 1 FROM `horses` WHERE `id` = NEW.`horse_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `layout_versions_layout_id_of_its_yard_insert` BEFORE INSERT ON `layout_versions`
WHEN EXISTS (SELECT 1 FROM `layouts` WHERE `id` = NEW.`layout_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `layout_versions_layout_id_of_its_yard_update` BEFORE UPDATE OF `layout_id`, `yard_id` ON `layout_versions`
WHEN EXISTS (SELECT 1 FROM `layouts` WHERE `id` = NEW.`layout_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `layouts_arena_id_of_its_yard_insert` BEFORE INSERT ON `layouts`
WHEN EXISTS (SELECT 1 FROM `arenas` WHERE `id` = NEW.`arena_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `layouts_arena_id_of_its_yard_update` BEFORE UPDATE OF `arena_id`, `yard_id` ON `layouts`
WHEN EXISTS (SELECT 1 FROM `arenas` WHERE `id` = NEW.`arena_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_asks_lesson_id_of_its_yard_insert` BEFORE INSERT ON `lesson_asks`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_asks_lesson_id_of_its_yard_update` BEFORE UPDATE OF `lesson_id`, `yard_id` ON `lesson_asks`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_asks_pair_id_of_its_yard_insert` BEFORE INSERT ON `lesson_asks`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_asks_pair_id_of_its_yard_update` BEFORE UPDATE OF `pair_id`, `yard_id` ON `lesson_asks`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_asks_question_id_of_its_yard_insert` BEFORE INSERT ON `lesson_asks`
WHEN EXISTS (SELECT 1 FROM `questions` WHERE `id` = NEW.`question_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_asks_question_id_of_its_yard_update` BEFORE UPDATE OF `question_id`, `yard_id` ON `lesson_asks`
WHEN EXISTS (SELECT 1 FROM `questions` WHERE `id` = NEW.`question_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_joins_lesson_id_of_its_yard_insert` BEFORE INSERT ON `lesson_joins`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_joins_lesson_id_of_its_yard_update` BEFORE UPDATE OF `lesson_id`, `yard_id` ON `lesson_joins`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_joins_pair_id_of_its_yard_insert` BEFORE INSERT ON `lesson_joins`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lesson_joins_pair_id_of_its_yard_update` BEFORE UPDATE OF `pair_id`, `yard_id` ON `lesson_joins`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lessons_arena_id_of_its_yard_insert` BEFORE INSERT ON `lessons`
WHEN EXISTS (SELECT 1 FROM `arenas` WHERE `id` = NEW.`arena_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `lessons_arena_id_of_its_yard_update` BEFORE UPDATE OF `arena_id`, `yard_id` ON `lessons`
WHEN EXISTS (SELECT 1 FROM `arenas` WHERE `id` = NEW.`arena_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `marks_pass_id_of_its_yard_insert` BEFORE INSERT ON `marks`
WHEN EXISTS (SELECT 1 FROM `passes` WHERE `id` = NEW.`pass_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `marks_pass_id_of_its_yard_update` BEFORE UPDATE OF `pass_id`, `yard_id` ON `marks`
WHEN EXISTS (SELECT 1 FROM `passes` WHERE `id` = NEW.`pass_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `pairs_rider_id_of_its_yard_insert` BEFORE INSERT ON `pairs`
WHEN EXISTS (SELECT 1 FROM `people` WHERE `id` = NEW.`rider_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `pairs_rider_id_of_its_yard_update` BEFORE UPDATE OF `rider_id`, `yard_id` ON `pairs`
WHEN EXISTS (SELECT 1 FROM `people` WHERE `id` = NEW.`rider_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `pairs_horse_id_of_its_yard_insert` BEFORE INSERT ON `pairs`
WHEN EXISTS (SELECT 1 FROM `horses` WHERE `id` = NEW.`horse_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `pairs_horse_id_of_its_yard_update` BEFORE UPDATE OF `horse_id`, `yard_id` ON `pairs`
WHEN EXISTS (SELECT 1 FROM `horses` WHERE `id` = NEW.`horse_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `passes_pair_id_of_its_yard_insert` BEFORE INSERT ON `passes`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `passes_pair_id_of_its_yard_update` BEFORE UPDATE OF `pair_id`, `yard_id` ON `passes`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `passes_layout_version_id_of_its_yard_insert` BEFORE INSERT ON `passes`
WHEN EXISTS (SELECT 1 FROM `layout_versions` WHERE `id` = NEW.`layout_version_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `passes_layout_version_id_of_its_yard_update` BEFORE UPDATE OF `layout_version_id`, `yard_id` ON `passes`
WHEN EXISTS (SELECT 1 FROM `layout_versions` WHERE `id` = NEW.`layout_version_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `passes_lesson_id_of_its_yard_insert` BEFORE INSERT ON `passes`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `passes_lesson_id_of_its_yard_update` BEFORE UPDATE OF `lesson_id`, `yard_id` ON `passes`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `passes_question_id_of_its_yard_insert` BEFORE INSERT ON `passes`
WHEN EXISTS (SELECT 1 FROM `questions` WHERE `id` = NEW.`question_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `passes_question_id_of_its_yard_update` BEFORE UPDATE OF `question_id`, `yard_id` ON `passes`
WHEN EXISTS (SELECT 1 FROM `questions` WHERE `id` = NEW.`question_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `record_changes_lesson_id_of_its_yard_insert` BEFORE INSERT ON `record_changes`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `record_changes_lesson_id_of_its_yard_update` BEFORE UPDATE OF `lesson_id`, `yard_id` ON `record_changes`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `rider_words_lesson_id_of_its_yard_insert` BEFORE INSERT ON `rider_words`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `rider_words_lesson_id_of_its_yard_update` BEFORE UPDATE OF `lesson_id`, `yard_id` ON `rider_words`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `rider_words_pair_id_of_its_yard_insert` BEFORE INSERT ON `rider_words`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `rider_words_pair_id_of_its_yard_update` BEFORE UPDATE OF `pair_id`, `yard_id` ON `rider_words`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `setting_ticks_layout_id_of_its_yard_insert` BEFORE INSERT ON `setting_ticks`
WHEN EXISTS (SELECT 1 FROM `layouts` WHERE `id` = NEW.`layout_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `setting_ticks_layout_id_of_its_yard_update` BEFORE UPDATE OF `layout_id`, `yard_id` ON `setting_ticks`
WHEN EXISTS (SELECT 1 FROM `layouts` WHERE `id` = NEW.`layout_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `standings_layout_id_of_its_yard_insert` BEFORE INSERT ON `standings`
WHEN EXISTS (SELECT 1 FROM `layouts` WHERE `id` = NEW.`layout_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `standings_layout_id_of_its_yard_update` BEFORE UPDATE OF `layout_id`, `yard_id` ON `standings`
WHEN EXISTS (SELECT 1 FROM `layouts` WHERE `id` = NEW.`layout_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `step_walks_person_id_of_its_yard_insert` BEFORE INSERT ON `step_walks`
WHEN EXISTS (SELECT 1 FROM `people` WHERE `id` = NEW.`person_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `step_walks_person_id_of_its_yard_update` BEFORE UPDATE OF `person_id`, `yard_id` ON `step_walks`
WHEN EXISTS (SELECT 1 FROM `people` WHERE `id` = NEW.`person_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_ranges_horse_id_of_its_yard_insert` BEFORE INSERT ON `stride_ranges`
WHEN EXISTS (SELECT 1 FROM `horses` WHERE `id` = NEW.`horse_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_ranges_horse_id_of_its_yard_update` BEFORE UPDATE OF `horse_id`, `yard_id` ON `stride_ranges`
WHEN EXISTS (SELECT 1 FROM `horses` WHERE `id` = NEW.`horse_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_ranges_test_id_of_its_yard_insert` BEFORE INSERT ON `stride_ranges`
WHEN EXISTS (SELECT 1 FROM `stride_tests` WHERE `id` = NEW.`test_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_ranges_test_id_of_its_yard_update` BEFORE UPDATE OF `test_id`, `yard_id` ON `stride_ranges`
WHEN EXISTS (SELECT 1 FROM `stride_tests` WHERE `id` = NEW.`test_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_test_passes_test_id_of_its_yard_insert` BEFORE INSERT ON `stride_test_passes`
WHEN EXISTS (SELECT 1 FROM `stride_tests` WHERE `id` = NEW.`test_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_test_passes_test_id_of_its_yard_update` BEFORE UPDATE OF `test_id`, `yard_id` ON `stride_test_passes`
WHEN EXISTS (SELECT 1 FROM `stride_tests` WHERE `id` = NEW.`test_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_tests_horse_id_of_its_yard_insert` BEFORE INSERT ON `stride_tests`
WHEN EXISTS (SELECT 1 FROM `horses` WHERE `id` = NEW.`horse_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_tests_horse_id_of_its_yard_update` BEFORE UPDATE OF `horse_id`, `yard_id` ON `stride_tests`
WHEN EXISTS (SELECT 1 FROM `horses` WHERE `id` = NEW.`horse_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_tests_rider_id_of_its_yard_insert` BEFORE INSERT ON `stride_tests`
WHEN EXISTS (SELECT 1 FROM `people` WHERE `id` = NEW.`rider_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_tests_rider_id_of_its_yard_update` BEFORE UPDATE OF `rider_id`, `yard_id` ON `stride_tests`
WHEN EXISTS (SELECT 1 FROM `people` WHERE `id` = NEW.`rider_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_tests_stepper_id_of_its_yard_insert` BEFORE INSERT ON `stride_tests`
WHEN EXISTS (SELECT 1 FROM `people` WHERE `id` = NEW.`stepper_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `stride_tests_stepper_id_of_its_yard_update` BEFORE UPDATE OF `stepper_id`, `yard_id` ON `stride_tests`
WHEN EXISTS (SELECT 1 FROM `people` WHERE `id` = NEW.`stepper_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `video_notes_video_id_of_its_yard_insert` BEFORE INSERT ON `video_notes`
WHEN EXISTS (SELECT 1 FROM `videos` WHERE `id` = NEW.`video_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `video_notes_video_id_of_its_yard_update` BEFORE UPDATE OF `video_id`, `yard_id` ON `video_notes`
WHEN EXISTS (SELECT 1 FROM `videos` WHERE `id` = NEW.`video_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `videos_pass_id_of_its_yard_insert` BEFORE INSERT ON `videos`
WHEN EXISTS (SELECT 1 FROM `passes` WHERE `id` = NEW.`pass_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `videos_pass_id_of_its_yard_update` BEFORE UPDATE OF `pass_id`, `yard_id` ON `videos`
WHEN EXISTS (SELECT 1 FROM `passes` WHERE `id` = NEW.`pass_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `videos_test_id_of_its_yard_insert` BEFORE INSERT ON `videos`
WHEN EXISTS (SELECT 1 FROM `stride_tests` WHERE `id` = NEW.`test_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `videos_test_id_of_its_yard_update` BEFORE UPDATE OF `test_id`, `yard_id` ON `videos`
WHEN EXISTS (SELECT 1 FROM `stride_tests` WHERE `id` = NEW.`test_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `walk_breaks_lesson_id_of_its_yard_insert` BEFORE INSERT ON `walk_breaks`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `walk_breaks_lesson_id_of_its_yard_update` BEFORE UPDATE OF `lesson_id`, `yard_id` ON `walk_breaks`
WHEN EXISTS (SELECT 1 FROM `lessons` WHERE `id` = NEW.`lesson_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `walk_breaks_pair_id_of_its_yard_insert` BEFORE INSERT ON `walk_breaks`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
--> statement-breakpoint
CREATE TRIGGER `walk_breaks_pair_id_of_its_yard_update` BEFORE UPDATE OF `pair_id`, `yard_id` ON `walk_breaks`
WHEN EXISTS (SELECT 1 FROM `pairs` WHERE `id` = NEW.`pair_id` AND `yard_id` <> NEW.`yard_id`)
BEGIN SELECT RAISE(ABORT, 'of another yard'); END;
