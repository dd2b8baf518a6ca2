-- What is planned for a class: its lessons to come, days off, daily cards.
CREATE TABLE `class_plan` (
	`class_id` text PRIMARY KEY NOT NULL,
	`plan` text NOT NULL,
	`revision` integer NOT NULL,
	FOREIGN KEY (`class_id`) REFERENCES `class`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
