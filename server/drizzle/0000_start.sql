CREATE TABLE `login_session` (
	`token_hash` text PRIMARY KEY NOT NULL,
	`teacher_id` text NOT NULL,
	`expires_at_ms` integer NOT NULL,
	FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `login_session_teacher` ON `login_session` (`teacher_id`);--> statement-breakpoint
CREATE TABLE `teacher` (
	`id` text PRIMARY KEY NOT NULL,
	`sign_in_name` text NOT NULL,
	`name` text NOT NULL,
	`password_hash` text NOT NULL,
	`created_at_ms` integer NOT NULL
) STRICT;
--> statement-breakpoint
CREATE UNIQUE INDEX `teacher_sign_in_name_unique` ON `teacher` (`sign_in_name`);--> statement-breakpoint
CREATE TABLE `pupil` (
	`id` text PRIMARY KEY NOT NULL,
	`class_id` text NOT NULL,
	`name` text NOT NULL,
	`place` integer NOT NULL,
	FOREIGN KEY (`class_id`) REFERENCES `class`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `pupil_class` ON `pupil` (`class_id`,`place`);--> statement-breakpoint
CREATE TABLE `class` (
	`id` text PRIMARY KEY NOT NULL,
	`teacher_id` text NOT NULL,
	`name` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `class_teacher` ON `class` (`teacher_id`);--> statement-breakpoint
CREATE TABLE `lesson` (
	`id` text PRIMARY KEY NOT NULL,
	`teacher_id` text NOT NULL,
	`version` integer NOT NULL,
	`place` integer NOT NULL,
	FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `lesson_teacher` ON `lesson` (`teacher_id`,`place`);--> statement-breakpoint
CREATE TABLE `lesson_version` (
	`lesson_id` text NOT NULL,
	`version` integer NOT NULL,
	`file` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	PRIMARY KEY(`lesson_id`, `version`),
	FOREIGN KEY (`lesson_id`) REFERENCES `lesson`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE TABLE `live_session` (
	`id` text PRIMARY KEY NOT NULL,
	`teacher_id` text NOT NULL,
	`class_id` text NOT NULL,
	`lesson_id` text NOT NULL,
	`lesson_version` integer NOT NULL,
	`room_key` text,
	`room` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`ended_at_ms` integer,
	FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`class_id`) REFERENCES `class`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`lesson_id`,`lesson_version`) REFERENCES `lesson_version`(`lesson_id`,`version`) ON UPDATE no action ON DELETE no action
) STRICT;
--> statement-breakpoint
CREATE UNIQUE INDEX `live_session_room_key_unique` ON `live_session` (`room_key`);--> statement-breakpoint
CREATE INDEX `live_session_teacher` ON `live_session` (`teacher_id`,`created_at_ms`);--> statement-breakpoint
CREATE TABLE `participant` (
	`id` text PRIMARY KEY NOT NULL,
	`session_id` text NOT NULL,
	`pupil_id` text NOT NULL,
	`token_hash` text NOT NULL,
	`joined_at_ms` integer NOT NULL,
	`released_at_ms` integer,
	FOREIGN KEY (`session_id`) REFERENCES `live_session`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`pupil_id`) REFERENCES `pupil`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE UNIQUE INDEX `participant_token_hash_unique` ON `participant` (`token_hash`);--> statement-breakpoint
CREATE INDEX `participant_session` ON `participant` (`session_id`);--> statement-breakpoint
CREATE TABLE `response` (
	`id` text PRIMARY KEY NOT NULL,
	`session_id` text NOT NULL,
	`pupil_id` text NOT NULL,
	`item_id` text NOT NULL,
	`attempt` integer NOT NULL,
	`given` text NOT NULL,
	`mark` text NOT NULL,
	`response_time_ms` integer NOT NULL,
	`received_at_ms` integer NOT NULL,
	FOREIGN KEY (`session_id`) REFERENCES `live_session`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`pupil_id`) REFERENCES `pupil`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE UNIQUE INDEX `response_attempt` ON `response` (`session_id`,`pupil_id`,`item_id`,`attempt`);--> statement-breakpoint
CREATE TABLE `session_event` (
	`session_id` text NOT NULL,
	`seq` integer NOT NULL,
	`command_id` text NOT NULL,
	`command` text NOT NULL,
	`at_ms` integer NOT NULL,
	PRIMARY KEY(`session_id`, `seq`),
	FOREIGN KEY (`session_id`) REFERENCES `live_session`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE UNIQUE INDEX `session_event_command` ON `session_event` (`session_id`,`command_id`);