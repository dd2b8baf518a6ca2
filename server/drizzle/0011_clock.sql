CREATE TABLE `school_clock` (
	`id` integer PRIMARY KEY NOT NULL,
	`seen_at_ms` integer NOT NULL
) STRICT;
