CREATE TABLE `kept_sums` (
	`yard_id` text NOT NULL,
	`name` text NOT NULL,
	`stands` text NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`yard_id`, `name`)
);
