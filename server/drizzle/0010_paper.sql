CREATE TABLE `sheet` (
	`id` text PRIMARY KEY NOT NULL,
	`teacher_id` text NOT NULL,
	`lesson_id` text NOT NULL,
	`class_id` text,
	`code` text NOT NULL,
	`file` text NOT NULL,
	`versions` integer NOT NULL,
	`made_at_ms` integer NOT NULL,
	FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`lesson_id`) REFERENCES `lesson`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`class_id`) REFERENCES `class`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `sheet_lesson` ON `sheet` (`lesson_id`,`made_at_ms`);--> statement-breakpoint
CREATE UNIQUE INDEX `sheet_code` ON `sheet` (`teacher_id`,`code`);--> statement-breakpoint
CREATE TABLE `sheet_copy` (
	`sheet_id` text NOT NULL,
	`pupil_id` text NOT NULL,
	`version` integer NOT NULL,
	PRIMARY KEY(`sheet_id`, `pupil_id`),
	FOREIGN KEY (`sheet_id`) REFERENCES `sheet`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`pupil_id`) REFERENCES `pupil`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `sheet_copy_pupil` ON `sheet_copy` (`pupil_id`);--> statement-breakpoint
CREATE TABLE `sheet_session` (
	`session_id` text PRIMARY KEY NOT NULL,
	`sheet_id` text NOT NULL,
	`class_id` text NOT NULL,
	FOREIGN KEY (`session_id`) REFERENCES `live_session`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`sheet_id`) REFERENCES `sheet`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`class_id`) REFERENCES `class`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE UNIQUE INDEX `sheet_session_of` ON `sheet_session` (`sheet_id`,`class_id`);