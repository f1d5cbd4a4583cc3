ALTER TABLE `sites` ADD `good_document` text;--> statement-breakpoint
ALTER TABLE `sites` ADD `good_revision` integer;--> statement-breakpoint
ALTER TABLE `sites` ADD `entries_left` integer DEFAULT 0 NOT NULL;