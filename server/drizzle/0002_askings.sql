-- A question can be asked more than once: responses belong to an asking, and the first asking of an item carries its id.
DROP INDEX `response_attempt`;--> statement-breakpoint
ALTER TABLE `response` RENAME COLUMN `item_id` TO `asking_id`;--> statement-breakpoint
CREATE UNIQUE INDEX `response_attempt` ON `response` (`session_id`,`pupil_id`,`asking_id`,`attempt`);--> statement-breakpoint
CREATE INDEX `response_pupil` ON `response` (`pupil_id`);--> statement-breakpoint
ALTER TABLE `saved_dial` ADD `version` integer NOT NULL DEFAULT 1;--> statement-breakpoint
-- A lesson is edited as a draft; what was its newest version is the first draft.
ALTER TABLE `lesson` ADD `title` text NOT NULL DEFAULT '';--> statement-breakpoint
ALTER TABLE `lesson` ADD `draft` text NOT NULL DEFAULT '';--> statement-breakpoint
ALTER TABLE `lesson` ADD `revision` integer NOT NULL DEFAULT 1;--> statement-breakpoint
ALTER TABLE `lesson` ADD `archived_at_ms` integer;--> statement-breakpoint
UPDATE `lesson` SET `revision` = `version`, `draft` = coalesce((SELECT `file` FROM `lesson_version` WHERE `lesson_id` = `lesson`.`id` AND `lesson_version`.`version` = `lesson`.`version`), '');--> statement-breakpoint
UPDATE `lesson` SET `title` = coalesce(CASE WHEN json_valid(`draft`) THEN json_extract(`draft`, '$.title') END, 'A lesson');--> statement-breakpoint
ALTER TABLE `live_session` ADD `title` text NOT NULL DEFAULT '';--> statement-breakpoint
ALTER TABLE `live_session` ADD `phase` text NOT NULL DEFAULT 'running';--> statement-breakpoint
UPDATE `live_session` SET `title` = coalesce((SELECT CASE WHEN json_valid(`file`) THEN json_extract(`file`, '$.title') END FROM `lesson_version` WHERE `lesson_version`.`lesson_id` = `live_session`.`lesson_id` AND `lesson_version`.`version` = `live_session`.`lesson_version`), 'A lesson');--> statement-breakpoint
UPDATE `live_session` SET `phase` = CASE WHEN `ended_at_ms` IS NOT NULL THEN 'ended' WHEN json_valid(`room`) THEN coalesce(json_extract(`room`, '$.phase'), 'running') ELSE 'running' END;--> statement-breakpoint
CREATE INDEX `live_session_class` ON `live_session` (`class_id`);--> statement-breakpoint
CREATE INDEX `live_session_lesson` ON `live_session` (`lesson_id`,`lesson_version`);--> statement-breakpoint
CREATE INDEX `participant_pupil` ON `participant` (`pupil_id`);
