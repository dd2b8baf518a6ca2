CREATE TABLE `saved_dial` (
	`id` text PRIMARY KEY NOT NULL,
	`teacher_id` text NOT NULL,
	`name` text NOT NULL,
	`place` integer NOT NULL,
	`build` text NOT NULL,
	`deleted_at_ms` integer,
	FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
CREATE INDEX `saved_dial_teacher` ON `saved_dial` (`teacher_id`,`place`);