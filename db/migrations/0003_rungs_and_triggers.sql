INSERT INTO `person_rung` (`person_id`, `family`, `stage`, `since`)
SELECT `id`, 'forearm-stand', `present_stage`, date('now') FROM `person` WHERE `present_stage` IS NOT NULL;
--> statement-breakpoint
ALTER TABLE `person` DROP COLUMN `present_stage`;
--> statement-breakpoint
CREATE TRIGGER `check_record_insert_revision` AFTER INSERT ON `check_record` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `check_record_delete_revision` AFTER DELETE ON `check_record` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `check_record_update_revision` AFTER UPDATE ON `check_record` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_caution_insert_revision` AFTER INSERT ON `person_caution` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_caution_delete_revision` AFTER DELETE ON `person_caution` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_caution_update_revision` AFTER UPDATE ON `person_caution` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_length_insert_revision` AFTER INSERT ON `person_length` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_length_delete_revision` AFTER DELETE ON `person_length` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_length_update_revision` AFTER UPDATE ON `person_length` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_rung_insert_revision` AFTER INSERT ON `person_rung` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_rung_delete_revision` AFTER DELETE ON `person_rung` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_rung_update_revision` AFTER UPDATE ON `person_rung` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `clearance_insert_revision` AFTER INSERT ON `clearance` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `clearance_delete_revision` AFTER DELETE ON `clearance` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `clearance_update_revision` AFTER UPDATE ON `clearance` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `stop_sign_insert_revision` AFTER INSERT ON `stop_sign` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `stop_sign_delete_revision` AFTER DELETE ON `stop_sign` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `stop_sign_update_revision` AFTER UPDATE ON `stop_sign` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `enrolment_insert_revision` AFTER INSERT ON `enrolment` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `enrolment_delete_revision` AFTER DELETE ON `enrolment` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `enrolment_update_revision` AFTER UPDATE ON `enrolment` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `saved_setup_insert_revision` AFTER INSERT ON `saved_setup` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `saved_setup_delete_revision` AFTER DELETE ON `saved_setup` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `saved_setup_update_revision` AFTER UPDATE ON `saved_setup` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_update_revision` AFTER UPDATE ON `person` WHEN NEW.`revision` = OLD.`revision` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `decision_is_kept` BEFORE UPDATE ON `decision` BEGIN
	SELECT RAISE(ABORT, 'A decision is never changed; correct it by a later one.');
END;
