CREATE TABLE `school_act` (
	`id` integer PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`act` text NOT NULL,
	`who` text NOT NULL,
	`about` text NOT NULL,
	`count` integer NOT NULL
) STRICT;
--> statement-breakpoint
CREATE INDEX `school_act_at` ON `school_act` (`at_ms`);--> statement-breakpoint
CREATE TABLE `school_setting` (
	`name` text PRIMARY KEY NOT NULL,
	`value` integer NOT NULL
) STRICT;
--> statement-breakpoint
CREATE TABLE `password_reset` (
	`teacher_id` text PRIMARY KEY NOT NULL,
	`code_hash` text NOT NULL,
	`expires_at_ms` integer NOT NULL,
	FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON UPDATE no action ON DELETE cascade
) STRICT;
--> statement-breakpoint
ALTER TABLE `login_session` ADD `began_at_ms` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `login_session` ADD `seen_at_ms` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `login_session` ADD `browser` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `teacher` ADD `totp_secret` text;--> statement-breakpoint
ALTER TABLE `teacher` ADD `totp_step` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `teacher` ADD `seen_at_ms` integer;