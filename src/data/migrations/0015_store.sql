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
