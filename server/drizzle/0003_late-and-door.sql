-- A response may come late, and its place in the session is its key: one index less for each answer.
CREATE TABLE `__new_response` (
	`id` text NOT NULL,
	`session_id` text NOT NULL,
	`pupil_id` text NOT NULL,
	`asking_id` text NOT NULL,
	`attempt` integer NOT NULL,
	`given` text NOT NULL,
	`mark` text NOT NULL,
	`response_time_ms` integer NOT NULL,
	`received_at_ms` integer NOT NULL,
	`late` integer NOT NULL DEFAULT 0,
	`waited_ms` integer NOT NULL DEFAULT 0,
	`closed_at_ms` integer,
	`counted` integer NOT NULL DEFAULT 1,
	PRIMARY KEY(`session_id`, `pupil_id`, `asking_id`, `attempt`),
	FOREIGN KEY (`session_id`) REFERENCES `live_session`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`pupil_id`) REFERENCES `pupil`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT, WITHOUT ROWID;--> statement-breakpoint
INSERT INTO `__new_response` (`id`, `session_id`, `pupil_id`, `asking_id`, `attempt`, `given`, `mark`, `response_time_ms`, `received_at_ms`)
	SELECT `id`, `session_id`, `pupil_id`, `asking_id`, `attempt`, `given`, `mark`, `response_time_ms`, `received_at_ms` FROM `response`;--> statement-breakpoint
DROP TABLE `response`;--> statement-breakpoint
ALTER TABLE `__new_response` RENAME TO `response`;--> statement-breakpoint
CREATE UNIQUE INDEX `response_id` ON `response` (`id`);--> statement-breakpoint
CREATE INDEX `response_pupil` ON `response` (`pupil_id`);--> statement-breakpoint
-- Whoever was in a room before there was a door was let in when they came.
ALTER TABLE `participant` ADD `admitted_at_ms` integer;--> statement-breakpoint
UPDATE `participant` SET `admitted_at_ms` = `joined_at_ms`;--> statement-breakpoint
ALTER TABLE `class` ADD `door_asks` integer NOT NULL DEFAULT 1;
