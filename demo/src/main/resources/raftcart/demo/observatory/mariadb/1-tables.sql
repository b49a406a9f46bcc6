-- Kestrel Ridge Observatory, a made-up mountain observatory: tables, written for MariaDB 10.6 and later.

CREATE SEQUENCE plate_number START WITH 1000 INCREMENT BY 1 CACHE 20;
CREATE SEQUENCE ticket_number START WITH 5 INCREMENT BY 5 MAXVALUE 999995 CYCLE;

CREATE TABLE astronomers (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT,
  login VARCHAR(40) NOT NULL,
  full_name VARCHAR(120) NOT NULL,
  mentor_id INT UNSIGNED NULL,
  badge BINARY(16) NOT NULL,
  is_staff TINYINT(1) NOT NULL DEFAULT 1,
  joined DATE NULL COMMENT 'zero where nobody remembers',
  hourly_rate DECIMAL(8,2) NOT NULL DEFAULT 0.00,
  motto VARCHAR(200) NULL,
  preferences JSON NULL,
  label VARCHAR(170) AS (CONCAT(full_name, ' <', login, '>')) VIRTUAL,
  PRIMARY KEY (id),
  UNIQUE KEY astronomers_login (login),
  UNIQUE KEY astronomers_badge (badge),
  KEY by_name (full_name),
  CONSTRAINT astronomers_mentor FOREIGN KEY (mentor_id) REFERENCES astronomers (id) ON DELETE SET NULL,
  CONSTRAINT astronomers_rate CHECK (hourly_rate >= 0)
) COMMENT='People who observe; everybody but the first has a mentor';

CREATE TABLE telescopes (
  id SMALLINT UNSIGNED NOT NULL AUTO_INCREMENT,
  code CHAR(8) NOT NULL,
  name VARCHAR(80) NOT NULL,
  aperture_mm MEDIUMINT UNSIGNED NOT NULL,
  focal_ratio FLOAT NULL,
  built YEAR NOT NULL,
  mount ENUM('equatorial','alt-azimuth','transit') NOT NULL DEFAULT 'equatorial',
  features SET('tracking','autoguider','dome','robotic') NOT NULL DEFAULT '',
  first_light DATE NULL,
  powered BIT(1) NOT NULL DEFAULT b'1',
  PRIMARY KEY (id),
  UNIQUE KEY telescopes_code (code)
) COMMENT='Instruments look through these';

CREATE TABLE filters (
  code CHAR(4) NOT NULL,
  name VARCHAR(60) NOT NULL,
  wavelength_nm DOUBLE NOT NULL,
  bandwidth_nm DOUBLE NOT NULL,
  PRIMARY KEY (code),
  CONSTRAINT filters_band CHECK (wavelength_nm > 0 AND bandwidth_nm BETWEEN 0.1 AND 2000)
);

CREATE TABLE instruments (
  id INT NOT NULL AUTO_INCREMENT,
  telescope_id SMALLINT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  kind ENUM('camera','spectrograph','photometer') NOT NULL,
  pixels BIGINT UNSIGNED NULL,
  options BIT(12) NOT NULL DEFAULT b'0',
  gain DOUBLE NULL,
  setup JSON NULL,
  PRIMARY KEY (id),
  UNIQUE KEY instruments_name (telescope_id, name),
  CONSTRAINT instruments_telescope FOREIGN KEY (telescope_id) REFERENCES telescopes (id)
);

CREATE TABLE sky_targets (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT,
  designation VARCHAR(80) NOT NULL,
  kind ENUM('star','galaxy','nebula','comet','minor planet') NOT NULL,
  right_ascension DOUBLE NOT NULL,
  declination DOUBLE NOT NULL,
  magnitude DECIMAL(5,3) NULL,
  parallax DECIMAL(38,10) NULL,
  remarks TEXT NULL,
  PRIMARY KEY (id),
  UNIQUE KEY sky_targets_designation (designation),
  KEY by_place (right_ascension, declination),
  KEY by_remarks (remarks(20)),
  CONSTRAINT sky_targets_declination CHECK (declination BETWEEN -90 AND 90)
);

CREATE TABLE review_panels (
  id INT NOT NULL AUTO_INCREMENT,
  name VARCHAR(60) NOT NULL,
  chair_id INT UNSIGNED NOT NULL,
  model_proposal_id INT NULL COMMENT 'shown to newcomers as an example',
  PRIMARY KEY (id),
  CONSTRAINT review_panels_chair FOREIGN KEY (chair_id) REFERENCES astronomers (id)
);

CREATE TABLE proposals (
  id INT NOT NULL AUTO_INCREMENT,
  title VARCHAR(200) NOT NULL,
  panel_id INT NOT NULL,
  leader_id INT UNSIGNED NOT NULL,
  state ENUM('draft','submitted','accepted','rejected') NOT NULL DEFAULT 'draft',
  `rank` SMALLINT NULL,
  hours DECIMAL(6,1) NOT NULL,
  abstract MEDIUMTEXT NULL,
  submitted_at TIMESTAMP NULL,
  changed_at TIMESTAMP NOT NULL DEFAULT CURRENT_TIMESTAMP ON UPDATE CURRENT_TIMESTAMP,
  PRIMARY KEY (id),
  KEY by_state (state, `rank`),
  CONSTRAINT proposals_panel FOREIGN KEY (panel_id) REFERENCES review_panels (id),
  CONSTRAINT proposals_leader FOREIGN KEY (leader_id) REFERENCES astronomers (id),
  CONSTRAINT proposals_hours CHECK (hours > 0 AND (`rank` IS NULL OR `rank` >= 1))
);

ALTER TABLE review_panels ADD CONSTRAINT review_panels_model
  FOREIGN KEY (model_proposal_id) REFERENCES proposals (id) ON DELETE SET NULL;

CREATE TABLE nights (
  night DATE NOT NULL,
  moon_phase FLOAT NOT NULL,
  `condition` ENUM('photometric','clear','cloudy','closed') NOT NULL,
  dusk TIME NOT NULL,
  dawn TIME NOT NULL,
  dark_time TIME(3) NULL COMMENT 'since the new moon, so beyond a day',
  PRIMARY KEY (night)
);

CREATE TABLE observations (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT,
  proposal_id INT NOT NULL,
  target_id BIGINT UNSIGNED NOT NULL,
  instrument_id INT NOT NULL,
  night DATE NOT NULL,
  observer_id INT UNSIGNED NULL,
  started DATETIME(6) NOT NULL,
  ended DATETIME(6) NULL,
  seeing DECIMAL(4,2) NULL,
  tracking_lost TIME(6) NULL,
  PRIMARY KEY (id),
  KEY by_night (night),
  CONSTRAINT observations_proposal FOREIGN KEY (proposal_id) REFERENCES proposals (id) ON DELETE CASCADE,
  CONSTRAINT observations_target FOREIGN KEY (target_id) REFERENCES sky_targets (id),
  CONSTRAINT observations_instrument FOREIGN KEY (instrument_id) REFERENCES instruments (id),
  CONSTRAINT observations_night FOREIGN KEY (night) REFERENCES nights (night),
  CONSTRAINT observations_observer FOREIGN KEY (observer_id) REFERENCES astronomers (id) ON UPDATE CASCADE
);

CREATE TABLE exposures (
  id BIGINT NOT NULL AUTO_INCREMENT,
  observation_id BIGINT UNSIGNED NOT NULL,
  shot SMALLINT UNSIGNED NOT NULL,
  filter_code CHAR(4) NULL,
  taken_at DATETIME(6) NOT NULL,
  seconds DECIMAL(9,3) NOT NULL,
  airmass FLOAT NULL,
  background DOUBLE NULL,
  frame_hash BIGINT UNSIGNED NOT NULL,
  quality ENUM('good','fair','poor','unusable') NOT NULL DEFAULT 'good',
  flags BIT(8) NOT NULL DEFAULT b'0',
  calibrated TINYINT(1) NOT NULL DEFAULT 0,
  file_name VARCHAR(120) NOT NULL,
  remark VARCHAR(200) NULL,
  PRIMARY KEY (id),
  UNIQUE KEY exposures_shot (observation_id, shot),
  KEY by_time (taken_at DESC),
  CONSTRAINT exposures_observation FOREIGN KEY (observation_id) REFERENCES observations (id) ON DELETE CASCADE,
  CONSTRAINT exposures_filter FOREIGN KEY (filter_code) REFERENCES filters (code)
) COMMENT='One row a frame; the big table';

CREATE TABLE photographic_plates (
  id BINARY(16) NOT NULL,
  plate_number INT NOT NULL DEFAULT (NEXTVAL(plate_number)),
  emulsion CHAR(12) NOT NULL DEFAULT '',
  taken DATE NULL,
  scanned_at DATETIME NULL,
  scan MEDIUMBLOB NULL,
  thumbnail VARBINARY(400) NULL,
  caption TEXT NULL,
  PRIMARY KEY (id),
  UNIQUE KEY photographic_plates_number (plate_number)
);

CREATE TABLE calibrations (
  id INT NOT NULL AUTO_INCREMENT,
  instrument_id INT NOT NULL,
  kind VARCHAR(20) NOT NULL,
  valid_from DATETIME NOT NULL,
  valid_to DATETIME NOT NULL DEFAULT '9999-12-31 23:59:59',
  coefficients JSON NOT NULL,
  master MEDIUMBLOB NULL,
  days_valid INT AS (TIMESTAMPDIFF(DAY, valid_from, valid_to)) VIRTUAL,
  is_open TINYINT(1) AS (valid_to > '9999-01-01') STORED,
  PRIMARY KEY (id),
  CONSTRAINT calibrations_instrument FOREIGN KEY (instrument_id) REFERENCES instruments (id),
  CONSTRAINT calibrations_kind CHECK (kind IN ('bias', 'dark', 'flat', 'wavelength')),
  CONSTRAINT calibrations_span CHECK (valid_from < valid_to)
);

CREATE TABLE weather_readings (
  station VARCHAR(20) NOT NULL,
  read_at DATETIME(3) NOT NULL,
  temperature DECIMAL(4,1) NULL,
  humidity TINYINT UNSIGNED NULL,
  wind FLOAT NULL,
  raw VARBINARY(64) NULL,
  KEY by_station (station, read_at)
) COMMENT='No primary key: some stations send a reading twice';

CREATE TABLE log_entries (
  id BIGINT NOT NULL AUTO_INCREMENT,
  written_at TIMESTAMP(6) NOT NULL DEFAULT CURRENT_TIMESTAMP(6),
  astronomer_id INT UNSIGNED NULL,
  level TINYINT NOT NULL DEFAULT 0,
  `text` TEXT NOT NULL,
  PRIMARY KEY (id),
  FULLTEXT KEY by_words (`text`),
  CONSTRAINT log_entries_astronomer FOREIGN KEY (astronomer_id) REFERENCES astronomers (id)
);

CREATE TABLE filter_usage (
  instrument_id INT NOT NULL,
  filter_code CHAR(4) NOT NULL,
  since DATE NOT NULL,
  slot TINYINT UNSIGNED NOT NULL,
  PRIMARY KEY (instrument_id, filter_code, since),
  CONSTRAINT filter_usage_instrument FOREIGN KEY (instrument_id) REFERENCES instruments (id),
  CONSTRAINT filter_usage_filter FOREIGN KEY (filter_code) REFERENCES filters (code)
);

CREATE TABLE `Order` (
  `Key` INT NOT NULL AUTO_INCREMENT,
  `Select` VARCHAR(60) NOT NULL,
  `From` VARCHAR(60) NOT NULL DEFAULT 'stores',
  `Desc` VARCHAR(200) NULL DEFAULT '',
  placedOn DATE NOT NULL,
  `unit price` DECIMAL(12,4) NOT NULL,
  `user` INT UNSIGNED NULL,
  PRIMARY KEY (`Key`),
  KEY by_name (`Select`),
  CONSTRAINT order_user FOREIGN KEY (`user`) REFERENCES astronomers (id)
) COMMENT='Orders for the workshop; its author liked reserved words';

CREATE TABLE spectrograph_grating_alignment_history_of_the_northern_side_dome (
  grating_alignment_measurement_identifier_within_the_northern_dom INT NOT NULL AUTO_INCREMENT,
  instrument_id INT NOT NULL,
  measured_at DATETIME NOT NULL,
  offset_arcsec DECIMAL(38,10) NOT NULL,
  PRIMARY KEY (grating_alignment_measurement_identifier_within_the_northern_dom),
  CONSTRAINT grating_alignment_instrument FOREIGN KEY (instrument_id) REFERENCES instruments (id)
);
