-- A response may come late. What a session holds is found by its session; attempts are counted where they are marked.
ALTER TABLE `response` ADD `late` integer NOT NULL DEFAULT 0;--> statement-breakpoint
ALTER TABLE `response` ADD `waited_ms` integer NOT NULL DEFAULT 0;--> statement-breakpoint
ALTER TABLE `response` ADD `closed_at_ms` integer;--> statement-breakpoint
ALTER TABLE `response` ADD `counted` integer NOT NULL DEFAULT 1;--> statement-breakpoint
DROP INDEX `response_attempt`;--> statement-breakpoint
CREATE INDEX `response_session` ON `response` (`session_id`);--> statement-breakpoint
-- Whoever was in a room before there was a door was let in when they came.
ALTER TABLE `participant` ADD `admitted_at_ms` integer;--> statement-breakpoint
UPDATE `participant` SET `admitted_at_ms` = `joined_at_ms`;--> statement-breakpoint
ALTER TABLE `class` ADD `door_asks` integer NOT NULL DEFAULT 1;
