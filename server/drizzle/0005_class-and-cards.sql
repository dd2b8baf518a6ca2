-- Several teachers on a server, invited by the first; pupils with a reference, join cards, and how long answers are kept.
CREATE TABLE `invitation` (
	`id` text PRIMARY KEY NOT NULL,
	`code_hash` text NOT NULL,
	`for_whom` text NOT NULL,
	`expires_at_ms` integer NOT NULL
) STRICT;
--> statement-breakpoint
CREATE UNIQUE INDEX `invitation_code_hash_unique` ON `invitation` (`code_hash`);--> statement-breakpoint
CREATE TABLE `card` (
	`pupil_id` text PRIMARY KEY NOT NULL,
	`token_hash` text NOT NULL,
	`made_at_ms` integer NOT NULL,
	FOREIGN KEY (`pupil_id`) REFERENCES `pupil`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE UNIQUE INDEX `card_token_hash_unique` ON `card` (`token_hash`);--> statement-breakpoint
CREATE TABLE `data_record` (
	`id` integer PRIMARY KEY NOT NULL,
	`class_id` text NOT NULL,
	`act` text NOT NULL,
	`count` integer NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`class_id`) REFERENCES `class`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `data_record_class` ON `data_record` (`class_id`,`at_ms`);--> statement-breakpoint
ALTER TABLE `teacher` ADD `may_invite` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
-- So far there was one teacher on a server: the first.
UPDATE `teacher` SET `may_invite` = 1 WHERE `id` = (SELECT `id` FROM `teacher` ORDER BY `created_at_ms` LIMIT 1);--> statement-breakpoint
ALTER TABLE `pupil` ADD `reference` text;--> statement-breakpoint
ALTER TABLE `pupil` ADD `left_at_ms` integer;--> statement-breakpoint
ALTER TABLE `class` ADD `keep_days` integer;
