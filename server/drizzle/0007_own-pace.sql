-- Lessons given out to be done at one's own pace, classes of simulated pupils, and answers that the teacher enters.
CREATE TABLE `own_pace` (
	`session_id` text PRIMARY KEY NOT NULL,
	`first_day` text NOT NULL,
	`last_day` text NOT NULL,
	`by_key` integer NOT NULL,
	`to_all` integer NOT NULL,
	`line` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`session_id`) REFERENCES `live_session`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE TABLE `own_place` (
	`session_id` text NOT NULL,
	`pupil_id` text NOT NULL,
	`run` text,
	`heard_at_ms` integer,
	`finished_at_ms` integer,
	`line` text DEFAULT '' NOT NULL,
	PRIMARY KEY(`session_id`, `pupil_id`),
	FOREIGN KEY (`session_id`) REFERENCES `own_pace`(`session_id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`pupil_id`) REFERENCES `pupil`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `own_place_pupil` ON `own_place` (`pupil_id`);--> statement-breakpoint
ALTER TABLE `class` ADD `simulated` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `live_session` ADD `pace` text DEFAULT 'live' NOT NULL;--> statement-breakpoint
ALTER TABLE `response` ADD `source` text DEFAULT 'device' NOT NULL;
