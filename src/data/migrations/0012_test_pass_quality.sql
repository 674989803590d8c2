ALTER TABLE `stride_test_passes` ADD `rhythm` integer;--> statement-breakpoint
ALTER TABLE `stride_test_passes` ADD `roundness` integer;--> statement-breakpoint
ALTER TABLE `stride_test_passes` ADD `balance` integer;