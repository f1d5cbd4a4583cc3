CREATE TABLE `entries` (
	`id` text PRIMARY KEY NOT NULL,
	`site` text NOT NULL,
	`form` text NOT NULL,
	`page` text NOT NULL,
	`fields` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`site`) REFERENCES `sites`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `entries_site` ON `entries` (`site`,`created_at`);