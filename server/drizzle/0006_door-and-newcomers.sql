-- The door knows three ways; pupils can be sent out, and can come who are not on the class list.
ALTER TABLE `class` ADD `door_admits` text DEFAULT 'one-by-one' NOT NULL;--> statement-breakpoint
UPDATE `class` SET `door_admits` = 'class-list' WHERE `door_asks` = 0;--> statement-breakpoint
ALTER TABLE `class` DROP COLUMN `door_asks`;--> statement-breakpoint
ALTER TABLE `participant` ADD `sent_out` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `participant` ADD `newcomer` integer DEFAULT 0 NOT NULL;
