ALTER TABLE `sites` ADD `document_revision` integer DEFAULT 0 NOT NULL;
--> statement-breakpoint
UPDATE `sites` SET `document_revision` = `revision`;
