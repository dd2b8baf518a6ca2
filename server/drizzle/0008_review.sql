CREATE TABLE `accepted_wording` (
	`id` text PRIMARY KEY NOT NULL,
	`class_id` text NOT NULL,
	`wording` text NOT NULL,
	`time_sec` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`undone_at_ms` integer,
	FOREIGN KEY (`class_id`) REFERENCES `class`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `accepted_wording_class` ON `accepted_wording` (`class_id`);--> statement-breakpoint
CREATE TABLE `comment` (
	`id` text PRIMARY KEY NOT NULL,
	`pupil_id` text NOT NULL,
	`response_id` text,
	`text` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`pupil_id`) REFERENCES `pupil`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`response_id`) REFERENCES `response`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `comment_pupil` ON `comment` (`pupil_id`);--> statement-breakpoint
CREATE INDEX `comment_response` ON `comment` (`response_id`);--> statement-breakpoint
CREATE TABLE `correction` (
	`id` text PRIMARY KEY NOT NULL,
	`response_id` text NOT NULL,
	`mark` text NOT NULL,
	`was` text NOT NULL,
	`reason` text NOT NULL,
	`wording_id` text,
	`at_ms` integer NOT NULL,
	`undone_at_ms` integer,
	FOREIGN KEY (`response_id`) REFERENCES `response`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`wording_id`) REFERENCES `accepted_wording`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `correction_response` ON `correction` (`response_id`);--> statement-breakpoint
CREATE INDEX `correction_wording` ON `correction` (`wording_id`);--> statement-breakpoint
CREATE TABLE `group_move` (
	`class_id` text NOT NULL,
	`pupil_id` text NOT NULL,
	`key` text NOT NULL,
	`at_ms` integer NOT NULL,
	PRIMARY KEY(`class_id`, `pupil_id`),
	FOREIGN KEY (`class_id`) REFERENCES `class`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`pupil_id`) REFERENCES `pupil`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `group_move_pupil` ON `group_move` (`pupil_id`);--> statement-breakpoint
CREATE TABLE `home_page` (
	`pupil_id` text PRIMARY KEY NOT NULL,
	`can` text NOT NULL,
	`next` text NOT NULL,
	`try_this` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`pupil_id`) REFERENCES `pupil`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
