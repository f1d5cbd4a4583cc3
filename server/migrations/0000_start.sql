CREATE TABLE `edits` (
	`site` text NOT NULL,
	`revision` integer NOT NULL,
	`key` text NOT NULL,
	`edit` text NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`site`, `revision`),
	FOREIGN KEY (`site`) REFERENCES `sites`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `edits_key` ON `edits` (`site`,`key`);--> statement-breakpoint
CREATE TABLE `pictures` (
	`hash` text PRIMARY KEY NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` integer NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sites` (
	`id` text PRIMARY KEY NOT NULL,
	`revision` integer NOT NULL,
	`document` text NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	`deleted_at` integer,
	`exported_revision` integer
);
