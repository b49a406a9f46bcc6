==== by-hand/trigger/public.proposals_changed_at_on_update_on_proposals-HASH.sql
-- trigger public.proposals_changed_at_on_update on proposals
-- RC0501 by hand: a whole row as a value
-- The source is below; nothing of it is on the target. Put the target's statements in its place:
-- `raftcart build --stage after-data` and `raftcart load` run this file once it is edited.
CREATE TRIGGER proposals_changed_at_on_update BEFORE UPDATE ON proposals FOR EACH ROW WHEN (new.*::text IS DISTINCT FROM old.*::text AND NOT new.changed_at IS DISTINCT FROM old.changed_at) EXECUTE FUNCTION proposals_changed_at_on_update();

==== target/30-sequences/0001-plate_number.sql
-- sequence observatory.plate_number
CREATE SEQUENCE `observatory`.`plate_number`
    START WITH 1000
    MINVALUE 1
    MAXVALUE 9223372036854775806
    INCREMENT BY 1
    CACHE 1
    NOCYCLE;

==== target/30-sequences/0002-ticket_number.sql
-- sequence observatory.ticket_number
CREATE SEQUENCE `observatory`.`ticket_number`
    START WITH 5
    MINVALUE 1
    MAXVALUE 999995
    INCREMENT BY 5
    CACHE 1
    CYCLE;

==== target/40-tables/0001-astronomers.sql
-- table observatory.astronomers
-- RC0113 check: public.astronomers.badge: bytes in a key as varbinary(1536)
-- RC0308 adapted: public.astronomers.astronomers_login_ignoring_case: unique by astronomers_login_ignoring_case_key
CREATE TABLE `observatory`.`astronomers` (
    `id` bigint NOT NULL AUTO_INCREMENT,
    `login` varchar(40) NOT NULL,
    `full_name` varchar(120) NOT NULL,
    `mentor_id` bigint NULL,
    `badge` varbinary(1536) NOT NULL,
    `is_staff` tinyint(1) NOT NULL DEFAULT TRUE,
    `joined` date NULL COMMENT 'zero where nobody remembers',
    `hourly_rate` decimal(8,2) NOT NULL DEFAULT 0.00,
    `motto` varchar(200) NULL,
    `preferences` json NULL,
    `label` varchar(170) GENERATED ALWAYS AS (CONCAT(`full_name`, ' <', `login`, '>')) STORED,
    `astronomers_login_ignoring_case_key` varchar(40) GENERATED ALWAYS AS (LOWER(`login`)) VIRTUAL INVISIBLE,
    PRIMARY KEY (`id`),
    CONSTRAINT `astronomers_badge_range` CHECK (LENGTH(`badge`) = 16),
    CONSTRAINT `astronomers_rate` CHECK (`hourly_rate` >= 0)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin COMMENT='People who observe; everybody but the first has a mentor';

==== target/40-tables/0002-telescopes.sql
-- table observatory.telescopes
-- RC0116 check: public.telescopes.focal_ratio: float
-- RC0308 adapted: public.telescopes.telescopes_code_ignoring_case: unique by telescopes_code_ignoring_case_key
-- RC0608 adapted: public.telescopes.telescopes_features_range: string_to_array means text_to_array
CREATE TABLE `observatory`.`telescopes` (
    `id` int NOT NULL AUTO_INCREMENT,
    `code` char(8) NOT NULL,
    `name` varchar(80) NOT NULL,
    `aperture_mm` int NOT NULL,
    `focal_ratio` float NULL,
    `built` smallint NOT NULL,
    `mount` enum('equatorial','alt-azimuth','transit') NOT NULL DEFAULT 'equatorial',
    `features` varchar(32) NOT NULL DEFAULT '',
    `first_light` date NULL,
    `powered` tinyint(1) NOT NULL DEFAULT TRUE,
    `telescopes_code_ignoring_case_key` varchar(8) GENERATED ALWAYS AS (LOWER(RTRIM(`code`))) VIRTUAL INVISIBLE,
    PRIMARY KEY (`id`),
    CONSTRAINT `telescopes_aperture_mm_range` CHECK (`aperture_mm` >= 0 AND `aperture_mm` <= 16777215),
    CONSTRAINT `telescopes_built_range` CHECK (`built` = 0 OR `built` >= 1901 AND `built` <= 2155),
    CONSTRAINT `telescopes_features_range` CHECK (JSON_CONTAINS('["tracking", "autoguider", "dome", "robotic"]', CASE WHEN `features` = '' THEN JSON_ARRAY() ELSE CONCAT('[', REPLACE(CONVERT(JSON_QUOTE(`features`) USING utf8mb4) COLLATE utf8mb4_bin, ',', '","'), ']') END))
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin COMMENT='Instruments look through these';

==== target/40-tables/0003-instruments.sql
-- table observatory.instruments
-- RC0116 check: public.instruments.gain: double
-- RC0308 adapted: public.instruments.instruments_name_ignoring_case: unique by instruments_name_ignoring_case_key
CREATE TABLE `observatory`.`instruments` (
    `id` int NOT NULL AUTO_INCREMENT,
    `telescope_id` int NOT NULL,
    `name` varchar(60) NOT NULL,
    `kind` enum('camera','spectrograph','photometer') NOT NULL,
    `pixels` decimal(20,0) NULL,
    `options` bit(12) NOT NULL DEFAULT B'000000000000',
    `gain` double NULL,
    `setup` json NULL,
    `instruments_name_ignoring_case_key` varchar(60) GENERATED ALWAYS AS (LOWER(`name`)) VIRTUAL INVISIBLE,
    PRIMARY KEY (`id`),
    CONSTRAINT `instruments_pixels_range` CHECK (`pixels` >= 0 AND `pixels` <= 18446744073709551615)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0004-calibrations.sql
-- table observatory.calibrations
-- RC0615 adapted: public.calibrations.days_valid: with more digits than the target gives by itself
CREATE TABLE `observatory`.`calibrations` (
    `id` int NOT NULL AUTO_INCREMENT,
    `instrument_id` int NOT NULL,
    `kind` varchar(20) NOT NULL,
    `valid_from` datetime(0) NOT NULL,
    `valid_to` datetime(0) NOT NULL DEFAULT (TIMESTAMP '9999-12-31 23:59:59'),
    `coefficients` json NOT NULL,
    `master` longblob NULL,
    `days_valid` int GENERATED ALWAYS AS (TRUNCATE(CAST((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', CAST(`valid_to` AS datetime(6))) * 0.000001) - (TIMESTAMPDIFF(MICROSECOND, '1970-01-01', CAST(`valid_from` AS datetime(6))) * 0.000001) AS decimal(65,30)) / CAST(86400 AS decimal(65,30)), 0)) STORED,
    `is_open` tinyint(1) GENERATED ALWAYS AS (`valid_to` > TIMESTAMP '9999-01-01 00:00:00') STORED,
    PRIMARY KEY (`id`),
    CONSTRAINT `calibrations_kind` CHECK (LOWER(`kind`) IN ('bias', 'dark', 'flat', 'wavelength')),
    CONSTRAINT `calibrations_span` CHECK (`valid_from` < `valid_to`)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0005-filters.sql
-- table observatory.filters
-- RC0116 check: public.filters.wavelength_nm: double
-- RC0116 check: public.filters.bandwidth_nm: double
-- RC0308 adapted: public.filters.filters_key_ignoring_case: unique by filters_key_ignoring_case_key
CREATE TABLE `observatory`.`filters` (
    `code` char(4) NOT NULL,
    `name` varchar(60) NOT NULL,
    `wavelength_nm` double NOT NULL,
    `bandwidth_nm` double NOT NULL,
    `filters_key_ignoring_case_key` varchar(4) GENERATED ALWAYS AS (LOWER(RTRIM(`code`))) VIRTUAL INVISIBLE,
    PRIMARY KEY (`code`),
    CONSTRAINT `filters_band` CHECK (`wavelength_nm` > 0 AND (`bandwidth_nm` >= CAST(0.1 AS double) AND `bandwidth_nm` <= 2000))
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0006-nights.sql
-- table observatory.nights
-- RC0116 check: public.nights.moon_phase: float
CREATE TABLE `observatory`.`nights` (
    `night` date NOT NULL,
    `moon_phase` float NOT NULL,
    `condition` enum('photometric','clear','cloudy','closed') NOT NULL,
    `dusk` time(0) NOT NULL,
    `dawn` time(0) NOT NULL,
    `dark_time` time(3) NULL COMMENT 'since the new moon, so beyond a day',
    PRIMARY KEY (`night`)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0007-review_panels.sql
-- table observatory.review_panels
CREATE TABLE `observatory`.`review_panels` (
    `id` int NOT NULL AUTO_INCREMENT,
    `name` varchar(60) NOT NULL,
    `chair_id` bigint NOT NULL,
    `model_proposal_id` int NULL COMMENT 'shown to newcomers as an example',
    PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0008-proposals.sql
-- table observatory.proposals
-- RC0114 check: public.proposals.submitted_at: datetime(0) in UTC
-- RC0114 check: public.proposals.changed_at: datetime(0) in UTC
CREATE TABLE `observatory`.`proposals` (
    `id` int NOT NULL AUTO_INCREMENT,
    `title` varchar(200) NOT NULL,
    `panel_id` int NOT NULL,
    `leader_id` bigint NOT NULL,
    `state` enum('draft','submitted','accepted','rejected') NOT NULL DEFAULT 'draft',
    `rank` smallint NULL,
    `hours` decimal(6,1) NOT NULL,
    `abstract` longtext NULL,
    `submitted_at` datetime(0) NULL,
    `changed_at` datetime(0) NOT NULL DEFAULT (UTC_TIMESTAMP()),
    PRIMARY KEY (`id`),
    CONSTRAINT `proposals_hours` CHECK (`hours` > 0 AND (`rank` IS NULL OR `rank` >= 1))
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0009-sky_targets.sql
-- table observatory.sky_targets
-- RC0116 check: public.sky_targets.right_ascension: double
-- RC0116 check: public.sky_targets.declination: double
-- RC0308 adapted: public.sky_targets.sky_targets_designation_ignoring_case: unique by sky_targets_designation_ignoring_case_key
CREATE TABLE `observatory`.`sky_targets` (
    `id` bigint NOT NULL AUTO_INCREMENT,
    `designation` varchar(80) NOT NULL,
    `kind` enum('star','galaxy','nebula','comet','minor planet') NOT NULL,
    `right_ascension` double NOT NULL,
    `declination` double NOT NULL,
    `magnitude` decimal(5,3) NULL,
    `parallax` decimal(38,10) NULL,
    `remarks` longtext NULL,
    `sky_targets_designation_ignoring_case_key` varchar(80) GENERATED ALWAYS AS (LOWER(`designation`)) VIRTUAL INVISIBLE,
    PRIMARY KEY (`id`),
    CONSTRAINT `sky_targets_declination` CHECK (`declination` >= CAST(-90 AS double) AND `declination` <= 90)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0010-observations.sql
-- table observatory.observations
CREATE TABLE `observatory`.`observations` (
    `id` bigint NOT NULL AUTO_INCREMENT,
    `proposal_id` int NOT NULL,
    `target_id` bigint NOT NULL,
    `instrument_id` int NOT NULL,
    `night` date NOT NULL,
    `observer_id` bigint NULL,
    `started` datetime(6) NOT NULL,
    `ended` datetime(6) NULL,
    `seeing` decimal(4,2) NULL,
    `tracking_lost` time(6) NULL,
    PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0011-exposures.sql
-- table observatory.exposures
-- RC0116 check: public.exposures.airmass: float
-- RC0116 check: public.exposures.background: double
CREATE TABLE `observatory`.`exposures` (
    `id` bigint NOT NULL AUTO_INCREMENT,
    `observation_id` bigint NOT NULL,
    `shot` int NOT NULL,
    `filter_code` char(4) NULL,
    `taken_at` datetime(6) NOT NULL,
    `seconds` decimal(9,3) NOT NULL,
    `airmass` float NULL,
    `background` double NULL,
    `frame_hash` decimal(20,0) NOT NULL,
    `quality` enum('good','fair','poor','unusable') NOT NULL DEFAULT 'good',
    `flags` bit(8) NOT NULL DEFAULT B'00000000',
    `calibrated` tinyint(1) NOT NULL DEFAULT FALSE,
    `file_name` varchar(120) NOT NULL,
    `remark` varchar(200) NULL,
    PRIMARY KEY (`id`),
    CONSTRAINT `exposures_frame_hash_range` CHECK (`frame_hash` >= 0 AND `frame_hash` <= 18446744073709551615),
    CONSTRAINT `exposures_shot_range` CHECK (`shot` >= 0 AND `shot` <= 65535)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin COMMENT='One row a frame; the big table';

==== target/40-tables/0012-filter_usage.sql
-- table observatory.filter_usage
-- RC0308 adapted: public.filter_usage.filter_usage_key_ignoring_case: unique by filter_usage_key_ignoring_case_key
CREATE TABLE `observatory`.`filter_usage` (
    `instrument_id` int NOT NULL,
    `filter_code` char(4) NOT NULL,
    `since` date NOT NULL,
    `slot` smallint NOT NULL,
    `filter_usage_key_ignoring_case_key` varchar(4) GENERATED ALWAYS AS (LOWER(RTRIM(`filter_code`))) VIRTUAL INVISIBLE,
    PRIMARY KEY (`instrument_id`, `filter_code`, `since`),
    CONSTRAINT `filter_usage_slot_range` CHECK (`slot` >= 0 AND `slot` <= 255)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0013-log_entries.sql
-- table observatory.log_entries
-- RC0114 check: public.log_entries.written_at: datetime(6) in UTC
CREATE TABLE `observatory`.`log_entries` (
    `id` bigint NOT NULL AUTO_INCREMENT,
    `written_at` datetime(6) NOT NULL DEFAULT (UTC_TIMESTAMP(6)),
    `astronomer_id` bigint NULL,
    `level` smallint NOT NULL DEFAULT 0,
    `text` longtext NOT NULL,
    PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0014-order.sql
-- table observatory.order
CREATE TABLE `observatory`.`order` (
    `key` int NOT NULL AUTO_INCREMENT,
    `select` varchar(60) NOT NULL,
    `from` varchar(60) NOT NULL DEFAULT 'stores',
    `desc` varchar(200) NULL DEFAULT '',
    `placedon` date NOT NULL,
    `unit price` decimal(12,4) NOT NULL,
    `user` bigint NULL,
    PRIMARY KEY (`key`)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin COMMENT='Orders for the workshop; its author liked reserved words';

==== target/40-tables/0015-photographic_plates.sql
-- table observatory.photographic_plates
-- RC0113 check: public.photographic_plates.id: bytes in a key as varbinary(1536)
CREATE TABLE `observatory`.`photographic_plates` (
    `id` varbinary(1536) NOT NULL,
    `plate_number` int NOT NULL DEFAULT (NEXTVAL(`observatory`.`plate_number`)),
    `emulsion` char(12) NOT NULL DEFAULT '',
    `taken` date NULL,
    `scanned_at` datetime(0) NULL,
    `scan` longblob NULL,
    `thumbnail` longblob NULL,
    `caption` longtext NULL,
    PRIMARY KEY (`id`),
    CONSTRAINT `photographic_plates_id_range` CHECK (LENGTH(`id`) = 16),
    CONSTRAINT `photographic_plates_thumbnail_range` CHECK (LENGTH(`thumbnail`) <= 400)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0016-spectrograph_grating_alignment_history_of_the_northern_cd2332f5.sql
-- table observatory.spectrograph_grating_alignment_history_of_the_northern_cd2332f5
CREATE TABLE `observatory`.`spectrograph_grating_alignment_history_of_the_northern_cd2332f5` (
    `grating_alignment_measurement_identifier_within_the_no_8b4a5de5` int NOT NULL AUTO_INCREMENT,
    `instrument_id` int NOT NULL,
    `measured_at` datetime(0) NOT NULL,
    `offset_arcsec` decimal(38,10) NOT NULL,
    PRIMARY KEY (`grating_alignment_measurement_identifier_within_the_no_8b4a5de5`)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;

==== target/40-tables/0017-weather_readings.sql
-- table observatory.weather_readings
-- RC0116 check: public.weather_readings.wind: float
CREATE TABLE `observatory`.`weather_readings` (
    `station` varchar(20) NOT NULL,
    `read_at` datetime(3) NOT NULL,
    `temperature` decimal(4,1) NULL,
    `humidity` smallint NULL,
    `wind` float NULL,
    `raw` longblob NULL,
    CONSTRAINT `weather_readings_humidity_range` CHECK (`humidity` >= 0 AND `humidity` <= 255),
    CONSTRAINT `weather_readings_raw_range` CHECK (LENGTH(`raw`) <= 64)
) ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin COMMENT='No primary key: some stations send a reading twice';

==== target/50-indexes/0001-astronomers.astronomers_badge.sql
-- unique key astronomers_badge of observatory.astronomers
ALTER TABLE `observatory`.`astronomers`
    ADD UNIQUE KEY `astronomers_badge` (`badge`);

==== target/50-indexes/0002-astronomers.astronomers_login.sql
-- unique key astronomers_login of observatory.astronomers
ALTER TABLE `observatory`.`astronomers`
    ADD UNIQUE KEY `astronomers_login` (`login`);

==== target/50-indexes/0003-astronomers.astronomers_login_ignoring_case.sql
-- index astronomers_login_ignoring_case of observatory.astronomers
CREATE UNIQUE INDEX `astronomers_login_ignoring_case` ON `observatory`.`astronomers` (`astronomers_login_ignoring_case_key`);

==== target/50-indexes/0004-astronomers.astronomers_mentor.sql
-- index astronomers_mentor of observatory.astronomers
CREATE INDEX `astronomers_mentor` ON `observatory`.`astronomers` (`mentor_id`);

==== target/50-indexes/0005-astronomers.by_name.sql
-- index by_name of observatory.astronomers
CREATE INDEX `by_name` ON `observatory`.`astronomers` (`full_name`);

==== target/50-indexes/0006-telescopes.telescopes_code.sql
-- unique key telescopes_code of observatory.telescopes
ALTER TABLE `observatory`.`telescopes`
    ADD UNIQUE KEY `telescopes_code` (`code`);

==== target/50-indexes/0007-telescopes.telescopes_code_ignoring_case.sql
-- index telescopes_code_ignoring_case of observatory.telescopes
CREATE UNIQUE INDEX `telescopes_code_ignoring_case` ON `observatory`.`telescopes` (`telescopes_code_ignoring_case_key`);

==== target/50-indexes/0008-instruments.instruments_name.sql
-- unique key instruments_name of observatory.instruments
ALTER TABLE `observatory`.`instruments`
    ADD UNIQUE KEY `instruments_name` (`telescope_id`, `name`);

==== target/50-indexes/0009-instruments.instruments_name_ignoring_case.sql
-- index instruments_name_ignoring_case of observatory.instruments
CREATE UNIQUE INDEX `instruments_name_ignoring_case` ON `observatory`.`instruments` (`telescope_id`, `instruments_name_ignoring_case_key`);

==== target/50-indexes/0010-calibrations.calibrations_instrument.sql
-- index calibrations_instrument of observatory.calibrations
CREATE INDEX `calibrations_instrument` ON `observatory`.`calibrations` (`instrument_id`);

==== target/50-indexes/0011-filters.filters_key_ignoring_case.sql
-- index filters_key_ignoring_case of observatory.filters
CREATE UNIQUE INDEX `filters_key_ignoring_case` ON `observatory`.`filters` (`filters_key_ignoring_case_key`);

==== target/50-indexes/0012-review_panels.review_panels_chair.sql
-- index review_panels_chair of observatory.review_panels
CREATE INDEX `review_panels_chair` ON `observatory`.`review_panels` (`chair_id`);

==== target/50-indexes/0013-review_panels.review_panels_model.sql
-- index review_panels_model of observatory.review_panels
CREATE INDEX `review_panels_model` ON `observatory`.`review_panels` (`model_proposal_id`);

==== target/50-indexes/0014-proposals.by_state.sql
-- index by_state of observatory.proposals
CREATE INDEX `by_state` ON `observatory`.`proposals` (`state`, `rank`);

==== target/50-indexes/0015-proposals.proposals_leader.sql
-- index proposals_leader of observatory.proposals
CREATE INDEX `proposals_leader` ON `observatory`.`proposals` (`leader_id`);

==== target/50-indexes/0016-proposals.proposals_panel.sql
-- index proposals_panel of observatory.proposals
CREATE INDEX `proposals_panel` ON `observatory`.`proposals` (`panel_id`);

==== target/50-indexes/0017-sky_targets.sky_targets_designation.sql
-- unique key sky_targets_designation of observatory.sky_targets
ALTER TABLE `observatory`.`sky_targets`
    ADD UNIQUE KEY `sky_targets_designation` (`designation`);

==== target/50-indexes/0018-sky_targets.by_place.sql
-- index by_place of observatory.sky_targets
CREATE INDEX `by_place` ON `observatory`.`sky_targets` (`right_ascension`, `declination`);

==== target/50-indexes/0019-sky_targets.by_remarks.sql
-- index by_remarks of observatory.sky_targets
CREATE INDEX `by_remarks` ON `observatory`.`sky_targets` (`remarks`(20));

==== target/50-indexes/0020-sky_targets.sky_targets_designation_ignoring_case.sql
-- index sky_targets_designation_ignoring_case of observatory.sky_targets
CREATE UNIQUE INDEX `sky_targets_designation_ignoring_case` ON `observatory`.`sky_targets` (`sky_targets_designation_ignoring_case_key`);

==== target/50-indexes/0021-observations.by_night.sql
-- index by_night of observatory.observations
CREATE INDEX `by_night` ON `observatory`.`observations` (`night`);

==== target/50-indexes/0022-observations.observations_instrument.sql
-- index observations_instrument of observatory.observations
CREATE INDEX `observations_instrument` ON `observatory`.`observations` (`instrument_id`);

==== target/50-indexes/0023-observations.observations_observer.sql
-- index observations_observer of observatory.observations
CREATE INDEX `observations_observer` ON `observatory`.`observations` (`observer_id`);

==== target/50-indexes/0024-observations.observations_proposal.sql
-- index observations_proposal of observatory.observations
CREATE INDEX `observations_proposal` ON `observatory`.`observations` (`proposal_id`);

==== target/50-indexes/0025-observations.observations_target.sql
-- index observations_target of observatory.observations
CREATE INDEX `observations_target` ON `observatory`.`observations` (`target_id`);

==== target/50-indexes/0026-exposures.exposures_shot.sql
-- unique key exposures_shot of observatory.exposures
ALTER TABLE `observatory`.`exposures`
    ADD UNIQUE KEY `exposures_shot` (`observation_id`, `shot`);

==== target/50-indexes/0027-exposures.by_time.sql
-- index by_time of observatory.exposures
CREATE INDEX `by_time` ON `observatory`.`exposures` (`taken_at` DESC);

==== target/50-indexes/0028-exposures.exposures_filter.sql
-- index exposures_filter of observatory.exposures
CREATE INDEX `exposures_filter` ON `observatory`.`exposures` (`filter_code`);

==== target/50-indexes/0029-filter_usage.filter_usage_filter.sql
-- index filter_usage_filter of observatory.filter_usage
CREATE INDEX `filter_usage_filter` ON `observatory`.`filter_usage` (`filter_code`);

==== target/50-indexes/0030-filter_usage.filter_usage_key_ignoring_case.sql
-- index filter_usage_key_ignoring_case of observatory.filter_usage
CREATE UNIQUE INDEX `filter_usage_key_ignoring_case` ON `observatory`.`filter_usage` (`instrument_id`, `filter_usage_key_ignoring_case_key`, `since`);

==== target/50-indexes/0031-log_entries.log_entries_astronomer.sql
-- index log_entries_astronomer of observatory.log_entries
CREATE INDEX `log_entries_astronomer` ON `observatory`.`log_entries` (`astronomer_id`);

==== target/50-indexes/0032-order.order_by_name.sql
-- index order_by_name of observatory.order
CREATE INDEX `order_by_name` ON `observatory`.`order` (`select`);

==== target/50-indexes/0033-order.order_user.sql
-- index order_user of observatory.order
CREATE INDEX `order_user` ON `observatory`.`order` (`user`);

==== target/50-indexes/0034-photographic_plates.photographic_plates_number.sql
-- unique key photographic_plates_number of observatory.photographic_plates
ALTER TABLE `observatory`.`photographic_plates`
    ADD UNIQUE KEY `photographic_plates_number` (`plate_number`);

==== target/50-indexes/0035-spectrograph_grating_alignment_history_of_the_northern_cd2332f5.grating_alignment_instrument.sql
-- index grating_alignment_instrument of observatory.spectrograph_grating_alignment_history_of_the_northern_cd2332f5
CREATE INDEX `grating_alignment_instrument` ON `observatory`.`spectrograph_grating_alignment_history_of_the_northern_cd2332f5` (`instrument_id`);

==== target/50-indexes/0036-weather_readings.by_station.sql
-- index by_station of observatory.weather_readings
CREATE INDEX `by_station` ON `observatory`.`weather_readings` (`station`, `read_at`);

==== target/60-foreign-keys/0001-astronomers.astronomers_mentor.sql
-- foreign key astronomers_mentor of observatory.astronomers
ALTER TABLE `observatory`.`astronomers`
    ADD CONSTRAINT `astronomers_mentor` FOREIGN KEY (`mentor_id`) REFERENCES `observatory`.`astronomers` (`id`) ON DELETE SET NULL;

==== target/60-foreign-keys/0002-instruments.instruments_telescope.sql
-- foreign key instruments_telescope of observatory.instruments
ALTER TABLE `observatory`.`instruments`
    ADD CONSTRAINT `instruments_telescope` FOREIGN KEY (`telescope_id`) REFERENCES `observatory`.`telescopes` (`id`);

==== target/60-foreign-keys/0003-calibrations.calibrations_instrument.sql
-- foreign key calibrations_instrument of observatory.calibrations
ALTER TABLE `observatory`.`calibrations`
    ADD CONSTRAINT `calibrations_instrument` FOREIGN KEY (`instrument_id`) REFERENCES `observatory`.`instruments` (`id`);

==== target/60-foreign-keys/0004-review_panels.review_panels_chair.sql
-- foreign key review_panels_chair of observatory.review_panels
ALTER TABLE `observatory`.`review_panels`
    ADD CONSTRAINT `review_panels_chair` FOREIGN KEY (`chair_id`) REFERENCES `observatory`.`astronomers` (`id`);

==== target/60-foreign-keys/0005-review_panels.review_panels_model.sql
-- foreign key review_panels_model of observatory.review_panels
ALTER TABLE `observatory`.`review_panels`
    ADD CONSTRAINT `review_panels_model` FOREIGN KEY (`model_proposal_id`) REFERENCES `observatory`.`proposals` (`id`) ON DELETE SET NULL;

==== target/60-foreign-keys/0006-proposals.proposals_leader.sql
-- foreign key proposals_leader of observatory.proposals
ALTER TABLE `observatory`.`proposals`
    ADD CONSTRAINT `proposals_leader` FOREIGN KEY (`leader_id`) REFERENCES `observatory`.`astronomers` (`id`);

==== target/60-foreign-keys/0007-proposals.proposals_panel.sql
-- foreign key proposals_panel of observatory.proposals
ALTER TABLE `observatory`.`proposals`
    ADD CONSTRAINT `proposals_panel` FOREIGN KEY (`panel_id`) REFERENCES `observatory`.`review_panels` (`id`);

==== target/60-foreign-keys/0008-observations.observations_instrument.sql
-- foreign key observations_instrument of observatory.observations
ALTER TABLE `observatory`.`observations`
    ADD CONSTRAINT `observations_instrument` FOREIGN KEY (`instrument_id`) REFERENCES `observatory`.`instruments` (`id`);

==== target/60-foreign-keys/0009-observations.observations_night.sql
-- foreign key observations_night of observatory.observations
ALTER TABLE `observatory`.`observations`
    ADD CONSTRAINT `observations_night` FOREIGN KEY (`night`) REFERENCES `observatory`.`nights` (`night`);

==== target/60-foreign-keys/0010-observations.observations_observer.sql
-- foreign key observations_observer of observatory.observations
ALTER TABLE `observatory`.`observations`
    ADD CONSTRAINT `observations_observer` FOREIGN KEY (`observer_id`) REFERENCES `observatory`.`astronomers` (`id`) ON UPDATE CASCADE;

==== target/60-foreign-keys/0011-observations.observations_proposal.sql
-- foreign key observations_proposal of observatory.observations
ALTER TABLE `observatory`.`observations`
    ADD CONSTRAINT `observations_proposal` FOREIGN KEY (`proposal_id`) REFERENCES `observatory`.`proposals` (`id`) ON DELETE CASCADE;

==== target/60-foreign-keys/0012-observations.observations_target.sql
-- foreign key observations_target of observatory.observations
ALTER TABLE `observatory`.`observations`
    ADD CONSTRAINT `observations_target` FOREIGN KEY (`target_id`) REFERENCES `observatory`.`sky_targets` (`id`);

==== target/60-foreign-keys/0013-exposures.exposures_filter.sql
-- foreign key exposures_filter of observatory.exposures
ALTER TABLE `observatory`.`exposures`
    ADD CONSTRAINT `exposures_filter` FOREIGN KEY (`filter_code`) REFERENCES `observatory`.`filters` (`code`);

==== target/60-foreign-keys/0014-exposures.exposures_observation.sql
-- foreign key exposures_observation of observatory.exposures
ALTER TABLE `observatory`.`exposures`
    ADD CONSTRAINT `exposures_observation` FOREIGN KEY (`observation_id`) REFERENCES `observatory`.`observations` (`id`) ON DELETE CASCADE;

==== target/60-foreign-keys/0015-filter_usage.filter_usage_filter.sql
-- foreign key filter_usage_filter of observatory.filter_usage
ALTER TABLE `observatory`.`filter_usage`
    ADD CONSTRAINT `filter_usage_filter` FOREIGN KEY (`filter_code`) REFERENCES `observatory`.`filters` (`code`);

==== target/60-foreign-keys/0016-filter_usage.filter_usage_instrument.sql
-- foreign key filter_usage_instrument of observatory.filter_usage
ALTER TABLE `observatory`.`filter_usage`
    ADD CONSTRAINT `filter_usage_instrument` FOREIGN KEY (`instrument_id`) REFERENCES `observatory`.`instruments` (`id`);

==== target/60-foreign-keys/0017-log_entries.log_entries_astronomer.sql
-- foreign key log_entries_astronomer of observatory.log_entries
ALTER TABLE `observatory`.`log_entries`
    ADD CONSTRAINT `log_entries_astronomer` FOREIGN KEY (`astronomer_id`) REFERENCES `observatory`.`astronomers` (`id`);

==== target/60-foreign-keys/0018-order.order_user.sql
-- foreign key order_user of observatory.order
ALTER TABLE `observatory`.`order`
    ADD CONSTRAINT `order_user` FOREIGN KEY (`user`) REFERENCES `observatory`.`astronomers` (`id`);

==== target/60-foreign-keys/0019-spectrograph_grating_alignment_history_of_the_northern_cd2332f5.grating_alignment_instrument.sql
-- foreign key grating_alignment_instrument of observatory.spectrograph_grating_alignment_history_of_the_northern_cd2332f5
ALTER TABLE `observatory`.`spectrograph_grating_alignment_history_of_the_northern_cd2332f5`
    ADD CONSTRAINT `grating_alignment_instrument` FOREIGN KEY (`instrument_id`) REFERENCES `observatory`.`instruments` (`id`);

==== target/65-routines/0003-air_mass.sql
-- function observatory.air_mass
-- RC0609 adapted: public.air_mass(zenith_angle double precision): code in the target's own language
DELIMITER //
CREATE OR REPLACE FUNCTION `observatory`.`air_mass`(zenith_angle double) RETURNS double
DETERMINISTIC NO SQL SQL SECURITY DEFINER
BEGIN
    IF zenith_angle >= 90 THEN
        RETURN NULL;
    END IF;
    RETURN 1 / COS(RADIANS(zenith_angle));
END//
DELIMITER ;

==== target/65-routines/0004-night_of.sql
-- function observatory.night_of
-- RC0609 adapted: public.night_of(moment timestamp without time zone): code in the target's own language
DELIMITER //
CREATE OR REPLACE FUNCTION `observatory`.`night_of`(moment datetime(6)) RETURNS date
DETERMINISTIC NO SQL SQL SECURITY DEFINER
BEGIN
    RETURN CAST(moment - INTERVAL 12 HOUR AS date);
END//
DELIMITER ;

==== target/65-routines/0005-close_night.sql
-- procedure observatory.close_night
-- RC0609 adapted: public.close_night(IN closing date, OUT frames integer): code in the target's own language
-- RC0627 check: public.close_night(IN closing date, OUT frames integer): what the block changed before an error stays, on the source it is undone
DELIMITER //
CREATE OR REPLACE PROCEDURE `observatory`.`close_night`(closing date, OUT frames int)
SQL SECURITY DEFINER
BEGIN
    DECLARE EXIT HANDLER FOR SQLEXCEPTION
    BEGIN
        SET frames = -1;
    END;
    UPDATE `observatory`.`observations`
    SET `ended` = `started` + INTERVAL 1 HOUR
    WHERE `night` = closing AND `ended` IS NULL;
    SELECT COUNT(*)
    FROM `observatory`.`exposures` e
    JOIN `observatory`.`observations` o ON o.`id` = e.`observation_id`
    WHERE o.`night` = closing
    INTO frames;
END//
DELIMITER ;

==== target/65-routines/0006-forget_old_weather.sql
-- procedure observatory.forget_old_weather
-- RC0609 adapted: public.forget_old_weather(): code in the target's own language
DELIMITER //
CREATE OR REPLACE PROCEDURE `observatory`.`forget_old_weather`()
SQL SECURITY DEFINER
BEGIN
    DELETE FROM `observatory`.`weather_readings`
    WHERE `read_at` < CURRENT_TIMESTAMP(6) - INTERVAL 10 YEAR;
END//
DELIMITER ;

==== target/65-routines/0007-promote.sql
-- procedure observatory.promote
-- RC0609 adapted: public.promote(IN who bigint): code in the target's own language
DELIMITER //
CREATE OR REPLACE PROCEDURE `observatory`.`promote`(who bigint)
SQL SECURITY DEFINER
BEGIN
    UPDATE `observatory`.`astronomers`
    SET `is_staff` = TRUE, `hourly_rate` = `hourly_rate` * 1.1
    WHERE `id` = who;
    INSERT INTO `observatory`.`log_entries` (`astronomer_id`, `level`, `text`)
    VALUES (who, 1, 'promoted; congratulations');
END//
DELIMITER ;

==== target/70-views/0001-observation_summary.sql
-- view observatory.observation_summary
CREATE VIEW `observatory`.`observation_summary` AS
SELECT
    o.`id` AS `observation_id`,
    t.`designation`,
    i.`name` AS `instrument`,
    o.`night`,
    COUNT(e.`id`) AS `frames`,
    SUM(e.`seconds`) AS `total_seconds`
FROM `observatory`.`observations` o
JOIN `observatory`.`sky_targets` t ON t.`id` = o.`target_id`
JOIN `observatory`.`instruments` i ON i.`id` = o.`instrument_id`
LEFT JOIN `observatory`.`exposures` e ON e.`observation_id` = o.`id`
GROUP BY o.`id`, t.`designation`, i.`name`, o.`night`;

==== target/70-views/0002-busiest_targets.sql
-- view observatory.busiest_targets
CREATE VIEW `observatory`.`busiest_targets` AS
SELECT `designation`, SUM(`frames`) AS `frames`, SUM(`total_seconds`) AS `total_seconds`
FROM `observatory`.`observation_summary`
GROUP BY `designation`
HAVING SUM(`frames`) > 10;

==== target/80-triggers/0008-exposures_before_insert.sql
-- trigger observatory.exposures_before_insert
-- RC0609 adapted: public.exposures_before_insert on exposures: code in the target's own language
DELIMITER //
CREATE TRIGGER `observatory`.`exposures_before_insert` BEFORE INSERT ON `observatory`.`exposures` FOR EACH ROW
BEGIN
    IF new.seconds < 0 THEN
        SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'an exposure cannot be negative';
    END IF;
    SET new.file_name = LOWER(new.file_name);
END//
DELIMITER ;

==== target/80-triggers/0009-proposals_after_update.sql
-- trigger observatory.proposals_after_update
-- RC0609 adapted: public.proposals_after_update on proposals: code in the target's own language
DELIMITER //
CREATE TRIGGER `observatory`.`proposals_after_update` AFTER UPDATE ON `observatory`.`proposals` FOR EACH ROW
BEGIN
    IF new.state <> old.state THEN
        INSERT INTO `observatory`.`log_entries` (`astronomer_id`, `level`, `text`)
        VALUES (new.leader_id, 0, CONCAT('proposal ', new.id, ': ', old.state, ' to ', new.state));
    END IF;
END//
DELIMITER ;
