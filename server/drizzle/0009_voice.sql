CREATE TABLE `recording` (
	`lesson_id` text PRIMARY KEY NOT NULL,
	`keep_days` integer NOT NULL,
	`changed_at_ms` integer NOT NULL,
	FOREIGN KEY (`lesson_id`) REFERENCES `lesson`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE TABLE `take` (
	`id` text PRIMARY KEY NOT NULL,
	`lesson_id` text NOT NULL,
	`beat_id` text NOT NULL,
	`step` text NOT NULL,
	`state` text NOT NULL,
	`mime` text NOT NULL,
	`document` text,
	`sound` blob,
	FOREIGN KEY (`lesson_id`) REFERENCES `recording`(`lesson_id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `take_lesson` ON `take` (`lesson_id`);--> statement-breakpoint
CREATE TABLE `take_piece` (
	`take_id` text NOT NULL,
	`what` text NOT NULL,
	`number` integer NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`take_id`, `what`, `number`),
	FOREIGN KEY (`take_id`) REFERENCES `take`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
ALTER TABLE `own_pace` ADD `voice` integer DEFAULT false NOT NULL;