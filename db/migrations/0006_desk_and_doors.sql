CREATE TABLE `tap_device` (
	`name` text PRIMARY KEY NOT NULL,
	`device_id` integer,
	`role` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `desk_lock` (
	`id` integer PRIMARY KEY NOT NULL,
	`passphrase` text NOT NULL,
	`recovery` text NOT NULL,
	`wrong_tries` integer DEFAULT 0 NOT NULL,
	`next_try_ms` integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `desk_session` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`token_mark` text NOT NULL,
	`name` text NOT NULL,
	`seen_ms` integer NOT NULL,
	`is_locked` integer DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `desk_session_token_mark_unique` ON `desk_session` (`token_mark`);--> statement-breakpoint
CREATE TABLE `diary` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at_ms` integer NOT NULL,
	`who` text NOT NULL,
	`kind` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `diary_at` ON `diary` (`at_ms`);--> statement-breakpoint
CREATE TABLE `set_aside` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`place` text NOT NULL,
	`words` text NOT NULL,
	`row` text NOT NULL,
	`on_ms` integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE `decision` ADD `by` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `settings` ADD `desk_name` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `settings` ADD `desk_idle_minutes` integer DEFAULT 10 NOT NULL;--> statement-breakpoint
ALTER TABLE `settings` ADD `device_idle_days` integer DEFAULT 90 NOT NULL;--> statement-breakpoint
ALTER TABLE `settings` ADD `era` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `settings` ADD `erase_pending` integer DEFAULT false NOT NULL;