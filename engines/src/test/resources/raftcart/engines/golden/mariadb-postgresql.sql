==== by-hand/event/kestrel_ridge.forget_old_weather.sql
-- event kestrel_ridge.forget_old_weather
-- RC0501 by hand: an event, which is not translated yet
-- The source is below; nothing of it is on the target. Put the target's statements in its place:
-- `raftcart build --stage after-data` and `raftcart load` run this file once it is edited.
CREATE DEFINER=`somebody`@`somewhere` EVENT `forget_old_weather` ON SCHEDULE EVERY 1 DAY STARTS 'then' ON COMPLETION NOT PRESERVE ENABLE DO DELETE FROM weather_readings WHERE read_at < NOW() - INTERVAL 10 YEAR

==== by-hand/grant/kestrel_ridge.observatory_reader__on_exposures-HASH.sql
-- grant kestrel_ridge.observatory_reader@ on exposures
-- RC0503 by hand: users and roles belong to the server; look who is to have these rights there
-- It is translated; to have it run, remove this line:
-- `raftcart build --stage after-data` and `raftcart load` run this file once it is edited.
-- The source:
--   GRANT SELECT ON `kestrel_ridge`.`exposures` TO 'observatory_reader'@'';
DO $$ BEGIN IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'observatory_reader') THEN CREATE ROLE "observatory_reader" NOLOGIN; END IF; END $$;

GRANT USAGE ON SCHEMA "public" TO "observatory_reader";

GRANT SELECT ON "public"."exposures" TO observatory_reader;

==== by-hand/grant/kestrel_ridge.observatory_reader__on_observation_summary-HASH.sql
-- grant kestrel_ridge.observatory_reader@ on observation_summary
-- RC0503 by hand: users and roles belong to the server; look who is to have these rights there
-- It is translated; to have it run, remove this line:
-- `raftcart build --stage after-data` and `raftcart load` run this file once it is edited.
-- The source:
--   GRANT SELECT ON `kestrel_ridge`.`observation_summary` TO 'observatory_reader'@'';
DO $$ BEGIN IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'observatory_reader') THEN CREATE ROLE "observatory_reader" NOLOGIN; END IF; END $$;

GRANT USAGE ON SCHEMA "public" TO "observatory_reader";

GRANT SELECT ON "public"."observation_summary" TO observatory_reader;

==== by-hand/index/kestrel_ridge.log_entries.by_words.sql
-- index kestrel_ridge.log_entries.by_words
-- RC0307 by hand: an index of the kind fulltext
-- The source is below; nothing of it is on the target. Put the target's statements in its place:
-- `raftcart build --stage after-data` and `raftcart load` run this file once it is edited.
index by_words using fulltext (text)

==== by-hand/role/observatory_reader.sql
-- role observatory_reader
-- RC0503 by hand: users and roles belong to the server; look who is to have these rights there
-- It is translated; to have it run, remove this line:
-- `raftcart build --stage after-data` and `raftcart load` run this file once it is edited.
-- The source:
--   CREATE ROLE `observatory_reader`;
DO $$ BEGIN IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'observatory_reader') THEN CREATE ROLE "observatory_reader" NOLOGIN; END IF; END $$;

==== target/20-types/0001-exposures_quality.sql
-- type public.exposures_quality
CREATE TYPE "public"."exposures_quality" AS ENUM ('good', 'fair', 'poor', 'unusable');

==== target/20-types/0002-instruments_kind.sql
-- type public.instruments_kind
CREATE TYPE "public"."instruments_kind" AS ENUM ('camera', 'spectrograph', 'photometer');

==== target/20-types/0003-nights_condition.sql
-- type public.nights_condition
CREATE TYPE "public"."nights_condition" AS ENUM ('photometric', 'clear', 'cloudy', 'closed');

==== target/20-types/0004-proposals_state.sql
-- type public.proposals_state
CREATE TYPE "public"."proposals_state" AS ENUM ('draft', 'submitted', 'accepted', 'rejected');

==== target/20-types/0005-sky_targets_kind.sql
-- type public.sky_targets_kind
CREATE TYPE "public"."sky_targets_kind" AS ENUM ('star', 'galaxy', 'nebula', 'comet', 'minor planet');

==== target/20-types/0006-telescopes_mount.sql
-- type public.telescopes_mount
CREATE TYPE "public"."telescopes_mount" AS ENUM ('equatorial', 'alt-azimuth', 'transit');

==== target/30-sequences/0001-plate_number.sql
-- sequence public.plate_number
CREATE SEQUENCE "public"."plate_number"
    START WITH 1000
    INCREMENT BY 1
    MINVALUE 1
    MAXVALUE 9223372036854775806
    CACHE 1;

==== target/30-sequences/0002-ticket_number.sql
-- sequence public.ticket_number
CREATE SEQUENCE "public"."ticket_number"
    START WITH 5
    INCREMENT BY 5
    MINVALUE 1
    MAXVALUE 999995
    CACHE 1
    CYCLE;

==== target/40-tables/0001-astronomers.sql
-- table public.astronomers
-- RC0117 adapted: kestrel_ridge.astronomers.id: bigint for an identity of unsigned 32 bits
-- RC0101 adapted: kestrel_ridge.astronomers.mentor_id: bigint for unsigned 32 bits
-- RC0109 adapted: kestrel_ridge.astronomers.badge: bytea with a check for 16 bytes
-- RC0102 check: kestrel_ridge.astronomers.is_staff: tinyint(1) as boolean
-- RC0614 adapted: kestrel_ridge.astronomers.is_staff: 1 for a truth value
-- RC0107 check: kestrel_ridge.astronomers.joined: impossible dates as NULL
-- RC0304 adapted: kestrel_ridge.astronomers.label: computed on reading before
-- RC0401 adapted: kestrel_ridge.astronomers.astronomers_login_ignoring_case: unique on lower(login)
-- RC0402 check: kestrel_ridge.astronomers: login, full_name, motto, label
CREATE TABLE "public"."astronomers" (
    "id" bigint GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "login" character varying(40) NOT NULL,
    "full_name" character varying(120) NOT NULL,
    "mentor_id" bigint,
    "badge" bytea NOT NULL,
    "is_staff" boolean DEFAULT TRUE NOT NULL,
    "joined" date,
    "hourly_rate" numeric(8,2) DEFAULT 0.00 NOT NULL,
    "motto" character varying(200),
    "preferences" json,
    "label" character varying(170) GENERATED ALWAYS AS ("full_name" || ' <' || "login" || '>') STORED,
    CONSTRAINT "astronomers_pkey" PRIMARY KEY ("id"),
    CONSTRAINT "astronomers_rate" CHECK ("hourly_rate" >= 0),
    CONSTRAINT "astronomers_badge_range" CHECK (octet_length("badge") = 16)
);

COMMENT ON TABLE "public"."astronomers" IS 'People who observe; everybody but the first has a mentor';

COMMENT ON COLUMN "public"."astronomers"."joined" IS 'zero where nobody remembers';

==== target/40-tables/0002-order.sql
-- table public.order
-- RC0101 adapted: kestrel_ridge.Order.user: bigint for unsigned 32 bits
-- RC0107 check: kestrel_ridge.Order.placedOn: impossible dates as NULL
-- RC0202 adapted: kestrel_ridge.Order: index by_name becomes order_by_name
-- RC0402 check: kestrel_ridge.Order: Select, From, Desc
CREATE TABLE "public"."order" (
    "key" integer GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "select" character varying(60) NOT NULL,
    "from" character varying(60) DEFAULT 'stores' NOT NULL,
    "desc" character varying(200) DEFAULT '',
    "placedon" date NOT NULL,
    "unit price" numeric(12,4) NOT NULL,
    "user" bigint,
    CONSTRAINT "order_pkey" PRIMARY KEY ("key")
);

COMMENT ON TABLE "public"."order" IS 'Orders for the workshop; its author liked reserved words';

==== target/40-tables/0003-telescopes.sql
-- table public.telescopes
-- RC0117 adapted: kestrel_ridge.telescopes.id: integer for an identity of unsigned 16 bits
-- RC0101 adapted: kestrel_ridge.telescopes.aperture_mm: integer for unsigned 24 bits
-- RC0103 adapted: kestrel_ridge.telescopes.built: smallint with a check
-- RC0105 adapted: kestrel_ridge.telescopes.mount: type telescopes_mount
-- RC0104 adapted: kestrel_ridge.telescopes.features: character varying(32) with a check
-- RC0107 check: kestrel_ridge.telescopes.first_light: impossible dates as NULL
-- RC0614 adapted: kestrel_ridge.telescopes.powered: 1 for a truth value
-- RC0401 adapted: kestrel_ridge.telescopes.telescopes_code_ignoring_case: unique on lower(code)
-- RC0402 check: kestrel_ridge.telescopes: code, name, mount, features
CREATE TABLE "public"."telescopes" (
    "id" integer GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "code" character(8) NOT NULL,
    "name" character varying(80) NOT NULL,
    "aperture_mm" integer NOT NULL,
    "focal_ratio" real,
    "built" smallint NOT NULL,
    "mount" "public"."telescopes_mount" DEFAULT 'equatorial' NOT NULL,
    "features" character varying(32) DEFAULT '' NOT NULL,
    "first_light" date,
    "powered" boolean DEFAULT TRUE NOT NULL,
    CONSTRAINT "telescopes_pkey" PRIMARY KEY ("id"),
    CONSTRAINT "telescopes_aperture_mm_range" CHECK ("aperture_mm" BETWEEN 0 AND 16777215),
    CONSTRAINT "telescopes_built_range" CHECK ("built" = 0 OR "built" BETWEEN 1901 AND 2155),
    CONSTRAINT "telescopes_features_range" CHECK (string_to_array("features", ',') <@ ARRAY['tracking', 'autoguider', 'dome', 'robotic']::text[])
);

COMMENT ON TABLE "public"."telescopes" IS 'Instruments look through these';

==== target/40-tables/0004-instruments.sql
-- table public.instruments
-- RC0101 adapted: kestrel_ridge.instruments.telescope_id: integer for unsigned 16 bits
-- RC0105 adapted: kestrel_ridge.instruments.kind: type instruments_kind
-- RC0101 adapted: kestrel_ridge.instruments.pixels: numeric(20,0) for unsigned 64 bits
-- RC0401 adapted: kestrel_ridge.instruments.instruments_name_ignoring_case: unique on lower(name)
-- RC0402 check: kestrel_ridge.instruments: name, kind
CREATE TABLE "public"."instruments" (
    "id" integer GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "telescope_id" integer NOT NULL,
    "name" character varying(60) NOT NULL,
    "kind" "public"."instruments_kind" NOT NULL,
    "pixels" numeric(20,0),
    "options" bit(12) DEFAULT B'000000000000' NOT NULL,
    "gain" double precision,
    "setup" json,
    CONSTRAINT "instruments_pkey" PRIMARY KEY ("id"),
    CONSTRAINT "instruments_pixels_range" CHECK ("pixels" BETWEEN 0 AND 18446744073709551615)
);

==== target/40-tables/0005-calibrations.sql
-- table public.calibrations
-- RC0102 check: kestrel_ridge.calibrations.is_open: tinyint(1) as boolean
-- RC0107 check: kestrel_ridge.calibrations.valid_from: impossible dates as NULL
-- RC0107 check: kestrel_ridge.calibrations.valid_to: impossible dates as NULL
-- RC0304 adapted: kestrel_ridge.calibrations.days_valid: computed on reading before
-- RC0608 adapted: kestrel_ridge.calibrations.days_valid: timestampdiff means full_days
-- RC0306 adapted: kestrel_ridge.calibrations.calibrations_kind: compared in small letters
-- RC0402 check: kestrel_ridge.calibrations: kind
CREATE TABLE "public"."calibrations" (
    "id" integer GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "instrument_id" integer NOT NULL,
    "kind" character varying(20) NOT NULL,
    "valid_from" timestamp(0) without time zone NOT NULL,
    "valid_to" timestamp(0) without time zone DEFAULT TIMESTAMP '9999-12-31 23:59:59' NOT NULL,
    "coefficients" json NOT NULL,
    "master" bytea,
    "days_valid" integer GENERATED ALWAYS AS (TRUNC(EXTRACT(EPOCH FROM CAST("valid_to" AS timestamp) - CAST("valid_from" AS timestamp)) / 86400)) STORED,
    "is_open" boolean GENERATED ALWAYS AS ("valid_to" > TIMESTAMP '9999-01-01 00:00:00') STORED,
    CONSTRAINT "calibrations_pkey" PRIMARY KEY ("id"),
    CONSTRAINT "calibrations_kind" CHECK (LOWER("kind") IN ('bias', 'dark', 'flat', 'wavelength')),
    CONSTRAINT "calibrations_span" CHECK ("valid_from" < "valid_to")
);

==== target/40-tables/0006-filters.sql
-- table public.filters
-- RC0401 adapted: kestrel_ridge.filters.filters_key_ignoring_case: unique on lower(code)
-- RC0402 check: kestrel_ridge.filters: code, name
CREATE TABLE "public"."filters" (
    "code" character(4) NOT NULL,
    "name" character varying(60) NOT NULL,
    "wavelength_nm" double precision NOT NULL,
    "bandwidth_nm" double precision NOT NULL,
    CONSTRAINT "filters_pkey" PRIMARY KEY ("code"),
    CONSTRAINT "filters_band" CHECK ("wavelength_nm" > 0 AND "bandwidth_nm" BETWEEN 0.1 AND 2000)
);

==== target/40-tables/0007-nights.sql
-- table public.nights
-- RC0105 adapted: kestrel_ridge.nights.condition: type nights_condition
-- RC0106 adapted: kestrel_ridge.nights.dusk: interval for hours beyond a day
-- RC0106 adapted: kestrel_ridge.nights.dawn: interval for hours beyond a day
-- RC0106 adapted: kestrel_ridge.nights.dark_time: interval for hours beyond a day
-- RC0107 check: kestrel_ridge.nights.night: impossible dates as NULL
-- RC0402 check: kestrel_ridge.nights: condition
CREATE TABLE "public"."nights" (
    "night" date NOT NULL,
    "moon_phase" real NOT NULL,
    "condition" "public"."nights_condition" NOT NULL,
    "dusk" interval hour to second(0) NOT NULL,
    "dawn" interval hour to second(0) NOT NULL,
    "dark_time" interval hour to second(3),
    CONSTRAINT "nights_pkey" PRIMARY KEY ("night")
);

COMMENT ON COLUMN "public"."nights"."dark_time" IS 'since the new moon, so beyond a day';

==== target/40-tables/0008-review_panels.sql
-- table public.review_panels
-- RC0101 adapted: kestrel_ridge.review_panels.chair_id: bigint for unsigned 32 bits
-- RC0402 check: kestrel_ridge.review_panels: name
CREATE TABLE "public"."review_panels" (
    "id" integer GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "name" character varying(60) NOT NULL,
    "chair_id" bigint NOT NULL,
    "model_proposal_id" integer,
    CONSTRAINT "review_panels_pkey" PRIMARY KEY ("id")
);

COMMENT ON COLUMN "public"."review_panels"."model_proposal_id" IS 'shown to newcomers as an example';

==== target/40-tables/0009-proposals.sql
-- table public.proposals
-- RC0101 adapted: kestrel_ridge.proposals.leader_id: bigint for unsigned 32 bits
-- RC0105 adapted: kestrel_ridge.proposals.state: type proposals_state
-- RC0107 check: kestrel_ridge.proposals.submitted_at: impossible dates as NULL
-- RC0107 check: kestrel_ridge.proposals.changed_at: impossible dates as NULL
-- RC0402 check: kestrel_ridge.proposals: title, state, abstract
-- RC0609 adapted: kestrel_ridge.proposals.changed_at: assigned at every update by a trigger
CREATE TABLE "public"."proposals" (
    "id" integer GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "title" character varying(200) NOT NULL,
    "panel_id" integer NOT NULL,
    "leader_id" bigint NOT NULL,
    "state" "public"."proposals_state" DEFAULT 'draft' NOT NULL,
    "rank" smallint,
    "hours" numeric(6,1) NOT NULL,
    "abstract" text,
    "submitted_at" timestamp(0) with time zone,
    "changed_at" timestamp(0) with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    CONSTRAINT "proposals_pkey" PRIMARY KEY ("id"),
    CONSTRAINT "proposals_hours" CHECK ("hours" > 0 AND ("rank" IS NULL OR "rank" >= 1))
);

==== target/40-tables/0010-sky_targets.sql
-- table public.sky_targets
-- RC0108 check: kestrel_ridge.sky_targets.id: bigint for an unsigned 64-bit identity
-- RC0105 adapted: kestrel_ridge.sky_targets.kind: type sky_targets_kind
-- RC0401 adapted: kestrel_ridge.sky_targets.sky_targets_designation_ignoring_case: unique on lower(designation)
-- RC0403 adapted: kestrel_ridge.sky_targets.by_remarks: first 20 of remarks
-- RC0402 check: kestrel_ridge.sky_targets: designation, kind, remarks
CREATE TABLE "public"."sky_targets" (
    "id" bigint GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "designation" character varying(80) NOT NULL,
    "kind" "public"."sky_targets_kind" NOT NULL,
    "right_ascension" double precision NOT NULL,
    "declination" double precision NOT NULL,
    "magnitude" numeric(5,3),
    "parallax" numeric(38,10),
    "remarks" text,
    CONSTRAINT "sky_targets_pkey" PRIMARY KEY ("id"),
    CONSTRAINT "sky_targets_declination" CHECK ("declination" BETWEEN -90 AND 90)
);

==== target/40-tables/0011-observations.sql
-- table public.observations
-- RC0108 check: kestrel_ridge.observations.id: bigint for an unsigned 64-bit identity
-- RC0108 check: kestrel_ridge.observations.target_id: bigint for an unsigned 64-bit key
-- RC0101 adapted: kestrel_ridge.observations.observer_id: bigint for unsigned 32 bits
-- RC0106 adapted: kestrel_ridge.observations.tracking_lost: interval for hours beyond a day
-- RC0107 check: kestrel_ridge.observations.night: impossible dates as NULL
-- RC0107 check: kestrel_ridge.observations.started: impossible dates as NULL
-- RC0107 check: kestrel_ridge.observations.ended: impossible dates as NULL
CREATE TABLE "public"."observations" (
    "id" bigint GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "proposal_id" integer NOT NULL,
    "target_id" bigint NOT NULL,
    "instrument_id" integer NOT NULL,
    "night" date NOT NULL,
    "observer_id" bigint,
    "started" timestamp(6) without time zone NOT NULL,
    "ended" timestamp(6) without time zone,
    "seeing" numeric(4,2),
    "tracking_lost" interval hour to second(6),
    CONSTRAINT "observations_pkey" PRIMARY KEY ("id")
);

==== target/40-tables/0012-exposures.sql
-- table public.exposures
-- RC0108 check: kestrel_ridge.exposures.observation_id: bigint for an unsigned 64-bit key
-- RC0101 adapted: kestrel_ridge.exposures.shot: integer for unsigned 16 bits
-- RC0101 adapted: kestrel_ridge.exposures.frame_hash: numeric(20,0) for unsigned 64 bits
-- RC0105 adapted: kestrel_ridge.exposures.quality: type exposures_quality
-- RC0102 check: kestrel_ridge.exposures.calibrated: tinyint(1) as boolean
-- RC0107 check: kestrel_ridge.exposures.taken_at: impossible dates as NULL
-- RC0614 adapted: kestrel_ridge.exposures.calibrated: 0 for a truth value
-- RC0402 check: kestrel_ridge.exposures: filter_code, quality, file_name, remark
CREATE TABLE "public"."exposures" (
    "id" bigint GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "observation_id" bigint NOT NULL,
    "shot" integer NOT NULL,
    "filter_code" character(4),
    "taken_at" timestamp(6) without time zone NOT NULL,
    "seconds" numeric(9,3) NOT NULL,
    "airmass" real,
    "background" double precision,
    "frame_hash" numeric(20,0) NOT NULL,
    "quality" "public"."exposures_quality" DEFAULT 'good' NOT NULL,
    "flags" bit(8) DEFAULT B'00000000' NOT NULL,
    "calibrated" boolean DEFAULT FALSE NOT NULL,
    "file_name" character varying(120) NOT NULL,
    "remark" character varying(200),
    CONSTRAINT "exposures_pkey" PRIMARY KEY ("id"),
    CONSTRAINT "exposures_shot_range" CHECK ("shot" BETWEEN 0 AND 65535),
    CONSTRAINT "exposures_frame_hash_range" CHECK ("frame_hash" BETWEEN 0 AND 18446744073709551615)
);

COMMENT ON TABLE "public"."exposures" IS 'One row a frame; the big table';

==== target/40-tables/0013-filter_usage.sql
-- table public.filter_usage
-- RC0101 adapted: kestrel_ridge.filter_usage.slot: smallint for unsigned 8 bits
-- RC0107 check: kestrel_ridge.filter_usage.since: impossible dates as NULL
-- RC0401 adapted: kestrel_ridge.filter_usage.filter_usage_key_ignoring_case: unique on lower(filter_code)
-- RC0402 check: kestrel_ridge.filter_usage: filter_code
CREATE TABLE "public"."filter_usage" (
    "instrument_id" integer NOT NULL,
    "filter_code" character(4) NOT NULL,
    "since" date NOT NULL,
    "slot" smallint NOT NULL,
    CONSTRAINT "filter_usage_pkey" PRIMARY KEY ("instrument_id", "filter_code", "since"),
    CONSTRAINT "filter_usage_slot_range" CHECK ("slot" BETWEEN 0 AND 255)
);

==== target/40-tables/0014-log_entries.sql
-- table public.log_entries
-- RC0101 adapted: kestrel_ridge.log_entries.astronomer_id: bigint for unsigned 32 bits
-- RC0117 adapted: kestrel_ridge.log_entries.level: 8 bits in a smallint
-- RC0107 check: kestrel_ridge.log_entries.written_at: impossible dates as NULL
-- RC0307 by hand: kestrel_ridge.log_entries.by_words: an index of the kind fulltext
-- RC0402 check: kestrel_ridge.log_entries: text
CREATE TABLE "public"."log_entries" (
    "id" bigint GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "written_at" timestamp(6) with time zone DEFAULT CURRENT_TIMESTAMP(6) NOT NULL,
    "astronomer_id" bigint,
    "level" smallint DEFAULT 0 NOT NULL,
    "text" text NOT NULL,
    CONSTRAINT "log_entries_pkey" PRIMARY KEY ("id")
);

==== target/40-tables/0015-photographic_plates.sql
-- table public.photographic_plates
-- RC0109 adapted: kestrel_ridge.photographic_plates.id: bytea with a check for 16 bytes
-- RC0109 adapted: kestrel_ridge.photographic_plates.thumbnail: bytea with a check for at most 400 bytes
-- RC0107 check: kestrel_ridge.photographic_plates.taken: impossible dates as NULL
-- RC0107 check: kestrel_ridge.photographic_plates.scanned_at: impossible dates as NULL
-- RC0402 check: kestrel_ridge.photographic_plates: emulsion, caption
CREATE TABLE "public"."photographic_plates" (
    "id" bytea NOT NULL,
    "plate_number" integer DEFAULT NEXTVAL('"public"."plate_number"') NOT NULL,
    "emulsion" character(12) DEFAULT '' NOT NULL,
    "taken" date,
    "scanned_at" timestamp(0) without time zone,
    "scan" bytea,
    "thumbnail" bytea,
    "caption" text,
    CONSTRAINT "photographic_plates_pkey" PRIMARY KEY ("id"),
    CONSTRAINT "photographic_plates_id_range" CHECK (octet_length("id") = 16),
    CONSTRAINT "photographic_plates_thumbnail_range" CHECK (octet_length("thumbnail") <= 400)
);

==== target/40-tables/0016-spectrograph_grating_alignment_history_of_the_northern_cd2332f5.sql
-- table public.spectrograph_grating_alignment_history_of_the_northern_cd2332f5
-- RC0201 adapted: kestrel_ridge.spectrograph_grating_alignment_history_of_the_northern_side_dome: spectrograph_grating_alignment_history_of_the_northern_side_dome becomes spectrograph_grating_alignment_history_of_the_northern_cd2332f5
-- RC0201 adapted: kestrel_ridge.spectrograph_grating_alignment_history_of_the_northern_side_dome.grating_alignment_measurement_identifier_within_the_northern_dom: grating_alignment_measurement_identifier_within_the_northern_dom becomes grating_alignment_measurement_identifier_within_the_no_8b4a5de5
-- RC0107 check: kestrel_ridge.spectrograph_grating_alignment_history_of_the_northern_side_dome.measured_at: impossible dates as NULL
-- RC0201 adapted: kestrel_ridge.spectrograph_grating_alignment_history_of_the_northern_side_dome: spectrograph_grating_alignment_history_of_the_northern_cd2332f5_pkey becomes spectrograph_grating_alignment_history_of_the_northern_7685b6e8
CREATE TABLE "public"."spectrograph_grating_alignment_history_of_the_northern_cd2332f5" (
    "grating_alignment_measurement_identifier_within_the_no_8b4a5de5" integer GENERATED BY DEFAULT AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    "instrument_id" integer NOT NULL,
    "measured_at" timestamp(0) without time zone NOT NULL,
    "offset_arcsec" numeric(38,10) NOT NULL,
    CONSTRAINT "spectrograph_grating_alignment_history_of_the_northern_7685b6e8" PRIMARY KEY ("grating_alignment_measurement_identifier_within_the_no_8b4a5de5")
);

==== target/40-tables/0017-weather_readings.sql
-- table public.weather_readings
-- RC0101 adapted: kestrel_ridge.weather_readings.humidity: smallint for unsigned 8 bits
-- RC0109 adapted: kestrel_ridge.weather_readings.raw: bytea with a check for at most 64 bytes
-- RC0107 check: kestrel_ridge.weather_readings.read_at: impossible dates as NULL
-- RC0402 check: kestrel_ridge.weather_readings: station
CREATE TABLE "public"."weather_readings" (
    "station" character varying(20) NOT NULL,
    "read_at" timestamp(3) without time zone NOT NULL,
    "temperature" numeric(4,1),
    "humidity" smallint,
    "wind" real,
    "raw" bytea,
    CONSTRAINT "weather_readings_humidity_range" CHECK ("humidity" BETWEEN 0 AND 255),
    CONSTRAINT "weather_readings_raw_range" CHECK (octet_length("raw") <= 64)
);

COMMENT ON TABLE "public"."weather_readings" IS 'No primary key: some stations send a reading twice';

==== target/50-indexes/0001-astronomers.astronomers_badge.sql
-- unique key astronomers_badge of public.astronomers
ALTER TABLE "public"."astronomers"
    ADD CONSTRAINT "astronomers_badge" UNIQUE ("badge");

==== target/50-indexes/0002-astronomers.astronomers_login.sql
-- unique key astronomers_login of public.astronomers
ALTER TABLE "public"."astronomers"
    ADD CONSTRAINT "astronomers_login" UNIQUE ("login");

==== target/50-indexes/0003-astronomers.astronomers_login_ignoring_case.sql
-- index astronomers_login_ignoring_case of public.astronomers
CREATE UNIQUE INDEX "astronomers_login_ignoring_case" ON "public"."astronomers" ((lower("login")));

==== target/50-indexes/0004-astronomers.astronomers_mentor.sql
-- index astronomers_mentor of public.astronomers
CREATE INDEX "astronomers_mentor" ON "public"."astronomers" ("mentor_id");

==== target/50-indexes/0005-astronomers.by_name.sql
-- index by_name of public.astronomers
CREATE INDEX "by_name" ON "public"."astronomers" ("full_name");

==== target/50-indexes/0006-order.order_by_name.sql
-- index order_by_name of public.order
CREATE INDEX "order_by_name" ON "public"."order" ("select");

==== target/50-indexes/0007-order.order_user.sql
-- index order_user of public.order
CREATE INDEX "order_user" ON "public"."order" ("user");

==== target/50-indexes/0008-telescopes.telescopes_code.sql
-- unique key telescopes_code of public.telescopes
ALTER TABLE "public"."telescopes"
    ADD CONSTRAINT "telescopes_code" UNIQUE ("code");

==== target/50-indexes/0009-telescopes.telescopes_code_ignoring_case.sql
-- index telescopes_code_ignoring_case of public.telescopes
CREATE UNIQUE INDEX "telescopes_code_ignoring_case" ON "public"."telescopes" ((lower("code")));

==== target/50-indexes/0010-instruments.instruments_name.sql
-- unique key instruments_name of public.instruments
ALTER TABLE "public"."instruments"
    ADD CONSTRAINT "instruments_name" UNIQUE ("telescope_id", "name");

==== target/50-indexes/0011-instruments.instruments_name_ignoring_case.sql
-- index instruments_name_ignoring_case of public.instruments
CREATE UNIQUE INDEX "instruments_name_ignoring_case" ON "public"."instruments" ("telescope_id", (lower("name")));

==== target/50-indexes/0012-calibrations.calibrations_instrument.sql
-- index calibrations_instrument of public.calibrations
CREATE INDEX "calibrations_instrument" ON "public"."calibrations" ("instrument_id");

==== target/50-indexes/0013-filters.filters_key_ignoring_case.sql
-- index filters_key_ignoring_case of public.filters
CREATE UNIQUE INDEX "filters_key_ignoring_case" ON "public"."filters" ((lower("code")));

==== target/50-indexes/0014-review_panels.review_panels_chair.sql
-- index review_panels_chair of public.review_panels
CREATE INDEX "review_panels_chair" ON "public"."review_panels" ("chair_id");

==== target/50-indexes/0015-review_panels.review_panels_model.sql
-- index review_panels_model of public.review_panels
CREATE INDEX "review_panels_model" ON "public"."review_panels" ("model_proposal_id");

==== target/50-indexes/0016-proposals.by_state.sql
-- index by_state of public.proposals
CREATE INDEX "by_state" ON "public"."proposals" ("state", "rank");

==== target/50-indexes/0017-proposals.proposals_leader.sql
-- index proposals_leader of public.proposals
CREATE INDEX "proposals_leader" ON "public"."proposals" ("leader_id");

==== target/50-indexes/0018-proposals.proposals_panel.sql
-- index proposals_panel of public.proposals
CREATE INDEX "proposals_panel" ON "public"."proposals" ("panel_id");

==== target/50-indexes/0019-sky_targets.sky_targets_designation.sql
-- unique key sky_targets_designation of public.sky_targets
ALTER TABLE "public"."sky_targets"
    ADD CONSTRAINT "sky_targets_designation" UNIQUE ("designation");

==== target/50-indexes/0020-sky_targets.sky_targets_designation_ignoring_case.sql
-- index sky_targets_designation_ignoring_case of public.sky_targets
CREATE UNIQUE INDEX "sky_targets_designation_ignoring_case" ON "public"."sky_targets" ((lower("designation")));

==== target/50-indexes/0021-sky_targets.by_place.sql
-- index by_place of public.sky_targets
CREATE INDEX "by_place" ON "public"."sky_targets" ("right_ascension", "declination");

==== target/50-indexes/0022-sky_targets.by_remarks.sql
-- index by_remarks of public.sky_targets
CREATE INDEX "by_remarks" ON "public"."sky_targets" ((LEFT("remarks", 20)));

==== target/50-indexes/0023-observations.by_night.sql
-- index by_night of public.observations
CREATE INDEX "by_night" ON "public"."observations" ("night");

==== target/50-indexes/0024-observations.observations_instrument.sql
-- index observations_instrument of public.observations
CREATE INDEX "observations_instrument" ON "public"."observations" ("instrument_id");

==== target/50-indexes/0025-observations.observations_observer.sql
-- index observations_observer of public.observations
CREATE INDEX "observations_observer" ON "public"."observations" ("observer_id");

==== target/50-indexes/0026-observations.observations_proposal.sql
-- index observations_proposal of public.observations
CREATE INDEX "observations_proposal" ON "public"."observations" ("proposal_id");

==== target/50-indexes/0027-observations.observations_target.sql
-- index observations_target of public.observations
CREATE INDEX "observations_target" ON "public"."observations" ("target_id");

==== target/50-indexes/0028-exposures.exposures_shot.sql
-- unique key exposures_shot of public.exposures
ALTER TABLE "public"."exposures"
    ADD CONSTRAINT "exposures_shot" UNIQUE ("observation_id", "shot");

==== target/50-indexes/0029-exposures.by_time.sql
-- index by_time of public.exposures
CREATE INDEX "by_time" ON "public"."exposures" ("taken_at" DESC);

==== target/50-indexes/0030-exposures.exposures_filter.sql
-- index exposures_filter of public.exposures
CREATE INDEX "exposures_filter" ON "public"."exposures" ("filter_code");

==== target/50-indexes/0031-filter_usage.filter_usage_key_ignoring_case.sql
-- index filter_usage_key_ignoring_case of public.filter_usage
CREATE UNIQUE INDEX "filter_usage_key_ignoring_case" ON "public"."filter_usage" ("instrument_id", (lower("filter_code")), "since");

==== target/50-indexes/0032-filter_usage.filter_usage_filter.sql
-- index filter_usage_filter of public.filter_usage
CREATE INDEX "filter_usage_filter" ON "public"."filter_usage" ("filter_code");

==== target/50-indexes/0033-log_entries.log_entries_astronomer.sql
-- index log_entries_astronomer of public.log_entries
CREATE INDEX "log_entries_astronomer" ON "public"."log_entries" ("astronomer_id");

==== target/50-indexes/0034-photographic_plates.photographic_plates_number.sql
-- unique key photographic_plates_number of public.photographic_plates
ALTER TABLE "public"."photographic_plates"
    ADD CONSTRAINT "photographic_plates_number" UNIQUE ("plate_number");

==== target/50-indexes/0035-spectrograph_grating_alignment_history_of_the_northern_cd2332f5.grating_alignment_instrument.sql
-- index grating_alignment_instrument of public.spectrograph_grating_alignment_history_of_the_northern_cd2332f5
CREATE INDEX "grating_alignment_instrument" ON "public"."spectrograph_grating_alignment_history_of_the_northern_cd2332f5" ("instrument_id");

==== target/50-indexes/0036-weather_readings.by_station.sql
-- index by_station of public.weather_readings
CREATE INDEX "by_station" ON "public"."weather_readings" ("station", "read_at");

==== target/60-foreign-keys/0001-astronomers.astronomers_mentor.sql
-- foreign key astronomers_mentor of public.astronomers
ALTER TABLE "public"."astronomers"
    ADD CONSTRAINT "astronomers_mentor" FOREIGN KEY ("mentor_id") REFERENCES "public"."astronomers" ("id") ON DELETE SET NULL;

==== target/60-foreign-keys/0002-order.order_user.sql
-- foreign key order_user of public.order
ALTER TABLE "public"."order"
    ADD CONSTRAINT "order_user" FOREIGN KEY ("user") REFERENCES "public"."astronomers" ("id");

==== target/60-foreign-keys/0003-instruments.instruments_telescope.sql
-- foreign key instruments_telescope of public.instruments
ALTER TABLE "public"."instruments"
    ADD CONSTRAINT "instruments_telescope" FOREIGN KEY ("telescope_id") REFERENCES "public"."telescopes" ("id");

==== target/60-foreign-keys/0004-calibrations.calibrations_instrument.sql
-- foreign key calibrations_instrument of public.calibrations
ALTER TABLE "public"."calibrations"
    ADD CONSTRAINT "calibrations_instrument" FOREIGN KEY ("instrument_id") REFERENCES "public"."instruments" ("id");

==== target/60-foreign-keys/0005-review_panels.review_panels_chair.sql
-- foreign key review_panels_chair of public.review_panels
ALTER TABLE "public"."review_panels"
    ADD CONSTRAINT "review_panels_chair" FOREIGN KEY ("chair_id") REFERENCES "public"."astronomers" ("id");

==== target/60-foreign-keys/0006-review_panels.review_panels_model.sql
-- foreign key review_panels_model of public.review_panels
ALTER TABLE "public"."review_panels"
    ADD CONSTRAINT "review_panels_model" FOREIGN KEY ("model_proposal_id") REFERENCES "public"."proposals" ("id") ON DELETE SET NULL;

==== target/60-foreign-keys/0007-proposals.proposals_leader.sql
-- foreign key proposals_leader of public.proposals
ALTER TABLE "public"."proposals"
    ADD CONSTRAINT "proposals_leader" FOREIGN KEY ("leader_id") REFERENCES "public"."astronomers" ("id");

==== target/60-foreign-keys/0008-proposals.proposals_panel.sql
-- foreign key proposals_panel of public.proposals
ALTER TABLE "public"."proposals"
    ADD CONSTRAINT "proposals_panel" FOREIGN KEY ("panel_id") REFERENCES "public"."review_panels" ("id");

==== target/60-foreign-keys/0009-observations.observations_instrument.sql
-- foreign key observations_instrument of public.observations
ALTER TABLE "public"."observations"
    ADD CONSTRAINT "observations_instrument" FOREIGN KEY ("instrument_id") REFERENCES "public"."instruments" ("id");

==== target/60-foreign-keys/0010-observations.observations_night.sql
-- foreign key observations_night of public.observations
ALTER TABLE "public"."observations"
    ADD CONSTRAINT "observations_night" FOREIGN KEY ("night") REFERENCES "public"."nights" ("night");

==== target/60-foreign-keys/0011-observations.observations_observer.sql
-- foreign key observations_observer of public.observations
ALTER TABLE "public"."observations"
    ADD CONSTRAINT "observations_observer" FOREIGN KEY ("observer_id") REFERENCES "public"."astronomers" ("id") ON UPDATE CASCADE;

==== target/60-foreign-keys/0012-observations.observations_proposal.sql
-- foreign key observations_proposal of public.observations
ALTER TABLE "public"."observations"
    ADD CONSTRAINT "observations_proposal" FOREIGN KEY ("proposal_id") REFERENCES "public"."proposals" ("id") ON DELETE CASCADE;

==== target/60-foreign-keys/0013-observations.observations_target.sql
-- foreign key observations_target of public.observations
ALTER TABLE "public"."observations"
    ADD CONSTRAINT "observations_target" FOREIGN KEY ("target_id") REFERENCES "public"."sky_targets" ("id");

==== target/60-foreign-keys/0014-exposures.exposures_filter.sql
-- foreign key exposures_filter of public.exposures
ALTER TABLE "public"."exposures"
    ADD CONSTRAINT "exposures_filter" FOREIGN KEY ("filter_code") REFERENCES "public"."filters" ("code");

==== target/60-foreign-keys/0015-exposures.exposures_observation.sql
-- foreign key exposures_observation of public.exposures
ALTER TABLE "public"."exposures"
    ADD CONSTRAINT "exposures_observation" FOREIGN KEY ("observation_id") REFERENCES "public"."observations" ("id") ON DELETE CASCADE;

==== target/60-foreign-keys/0016-filter_usage.filter_usage_filter.sql
-- foreign key filter_usage_filter of public.filter_usage
ALTER TABLE "public"."filter_usage"
    ADD CONSTRAINT "filter_usage_filter" FOREIGN KEY ("filter_code") REFERENCES "public"."filters" ("code");

==== target/60-foreign-keys/0017-filter_usage.filter_usage_instrument.sql
-- foreign key filter_usage_instrument of public.filter_usage
ALTER TABLE "public"."filter_usage"
    ADD CONSTRAINT "filter_usage_instrument" FOREIGN KEY ("instrument_id") REFERENCES "public"."instruments" ("id");

==== target/60-foreign-keys/0018-log_entries.log_entries_astronomer.sql
-- foreign key log_entries_astronomer of public.log_entries
ALTER TABLE "public"."log_entries"
    ADD CONSTRAINT "log_entries_astronomer" FOREIGN KEY ("astronomer_id") REFERENCES "public"."astronomers" ("id");

==== target/60-foreign-keys/0019-spectrograph_grating_alignment_history_of_the_northern_cd2332f5.grating_alignment_instrument.sql
-- foreign key grating_alignment_instrument of public.spectrograph_grating_alignment_history_of_the_northern_cd2332f5
ALTER TABLE "public"."spectrograph_grating_alignment_history_of_the_northern_cd2332f5"
    ADD CONSTRAINT "grating_alignment_instrument" FOREIGN KEY ("instrument_id") REFERENCES "public"."instruments" ("id");

==== target/65-routines/0004-air_mass.sql
-- function public.air_mass
-- RC0609 adapted: kestrel_ridge.air_mass: code in the target's own language
CREATE OR REPLACE FUNCTION "public"."air_mass"(zenith_angle double precision) RETURNS double precision
LANGUAGE plpgsql
IMMUTABLE
SECURITY DEFINER
SET search_path = "public", pg_temp
AS $$
BEGIN
    IF zenith_angle >= 90 THEN
        RETURN NULL;
    END IF;
    RETURN 1 / COS(RADIANS(zenith_angle));
END;
$$;

==== target/65-routines/0005-night_of.sql
-- function public.night_of
-- RC0609 adapted: kestrel_ridge.night_of: code in the target's own language
CREATE OR REPLACE FUNCTION "public"."night_of"(moment timestamp(0) without time zone) RETURNS date
LANGUAGE plpgsql
IMMUTABLE
SECURITY DEFINER
SET search_path = "public", pg_temp
AS $$
BEGIN
    RETURN CAST((moment - INTERVAL '12 hour') AS date);
END;
$$;

==== target/65-routines/0006-close_night.sql
-- procedure public.close_night
-- RC0609 adapted: kestrel_ridge.close_night: code in the target's own language
-- RC0627 check: kestrel_ridge.close_night: ROLLBACK undoes what the block changed, not what the caller changed before
-- RC0627 check: kestrel_ridge.close_night: BEGIN is left out: the changes belong to the transaction of the caller
-- RC0627 check: kestrel_ridge.close_night: COMMIT is left out: the changes belong to the transaction of the caller
CREATE OR REPLACE PROCEDURE "public"."close_night"(closing date, OUT frames integer)
LANGUAGE plpgsql
SECURITY DEFINER
SET search_path = "public", pg_temp
AS $$
#variable_conflict use_variable
BEGIN
    UPDATE "public"."observations"
    SET "ended" = "started" + INTERVAL '1 hour'
    WHERE "night" = closing AND "ended" IS NULL;
    SELECT COUNT(*)
    FROM "public"."exposures" e
    JOIN "public"."observations" o ON o."id" = e."observation_id"
    WHERE o."night" = closing
    INTO frames;
EXCEPTION
    WHEN OTHERS THEN
        frames := -1;
END;
$$;

==== target/65-routines/0007-promote.sql
-- procedure public.promote
-- RC0609 adapted: kestrel_ridge.promote: code in the target's own language
-- RC0627 check: kestrel_ridge.promote: who takes numbers out of its range, too, which the source refuses
-- RC0614 adapted: kestrel_ridge.promote: 1 for a truth value
CREATE OR REPLACE PROCEDURE "public"."promote"(who bigint)
LANGUAGE plpgsql
SECURITY DEFINER
SET search_path = "public", pg_temp
AS $$
#variable_conflict use_variable
BEGIN
    UPDATE "public"."astronomers"
    SET "is_staff" = TRUE, "hourly_rate" = "hourly_rate" * 1.1
    WHERE "id" = who;
    INSERT INTO "public"."log_entries" ("astronomer_id", "level", "text")
    VALUES (who, 1, 'promoted; congratulations');
END;
$$;

==== target/70-views/0001-observation_summary.sql
-- view public.observation_summary
-- RC0612 check: kestrel_ridge.observation_summary: GROUP BY
-- RC0502 adapted: kestrel_ridge.observation_summary: DEFINER = `observatory`@`127.0.0.1`
CREATE VIEW "public"."observation_summary" AS
SELECT
    o."id" AS "observation_id",
    t."designation" AS "designation",
    i."name" AS "instrument",
    o."night" AS "night",
    COUNT(e."id") AS "frames",
    SUM(e."seconds") AS "total_seconds"
FROM "public"."observations" o
JOIN "public"."sky_targets" t ON t."id" = o."target_id"
JOIN "public"."instruments" i ON i."id" = o."instrument_id"
LEFT JOIN "public"."exposures" e ON e."observation_id" = o."id"
GROUP BY o."id", t."designation", i."name", o."night";

==== target/70-views/0002-busiest_targets.sql
-- view public.busiest_targets
-- RC0612 check: kestrel_ridge.busiest_targets: GROUP BY
-- RC0502 adapted: kestrel_ridge.busiest_targets: DEFINER = `observatory`@`127.0.0.1`
CREATE VIEW "public"."busiest_targets" AS
SELECT
    "observation_summary"."designation" AS "designation",
    SUM("observation_summary"."frames") AS "frames",
    SUM("observation_summary"."total_seconds") AS "total_seconds"
FROM "public"."observation_summary"
GROUP BY "observation_summary"."designation"
HAVING SUM("observation_summary"."frames") > 10;

==== target/80-triggers/0003-proposals_changed_at.sql
-- trigger public.proposals_changed_at
-- RC0107 check: kestrel_ridge.proposals.changed_at: impossible dates as NULL
-- RC0609 adapted: kestrel_ridge.proposals.changed_at: assigned at every update by a trigger
CREATE OR REPLACE FUNCTION "public".proposals_changed_at_on_update() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    NEW."changed_at" := CURRENT_TIMESTAMP;
    RETURN NEW;
END
$$;
CREATE TRIGGER proposals_changed_at_on_update BEFORE UPDATE ON "public"."proposals" FOR EACH ROW
WHEN (NEW::text IS DISTINCT FROM OLD::text AND NEW."changed_at" IS NOT DISTINCT FROM OLD."changed_at")
EXECUTE FUNCTION "public".proposals_changed_at_on_update();

==== target/80-triggers/0008-exposures_before_insert.sql
-- trigger public.exposures_before_insert
-- RC0609 adapted: kestrel_ridge.exposures_before_insert: code in the target's own language
CREATE OR REPLACE FUNCTION "public"."exposures_before_insert"() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    IF new."seconds" < 0 THEN
        RAISE EXCEPTION USING MESSAGE = 'an exposure cannot be negative', ERRCODE = '45000';
    END IF;
    new."file_name" := LOWER(new."file_name");
    RETURN new;
END;
$$;
CREATE TRIGGER "exposures_before_insert" BEFORE INSERT ON "public"."exposures"
FOR EACH ROW
EXECUTE FUNCTION "public"."exposures_before_insert"();

==== target/80-triggers/0009-proposals_after_update.sql
-- trigger public.proposals_after_update
-- RC0609 adapted: kestrel_ridge.proposals_after_update: code in the target's own language
-- RC0612 check: kestrel_ridge.proposals_after_update: new.state
-- RC0612 check: kestrel_ridge.proposals_after_update: old.state
CREATE OR REPLACE FUNCTION "public"."proposals_after_update"() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    IF new."state" <> old."state" THEN
        INSERT INTO "public"."log_entries" ("astronomer_id", "level", "text")
        VALUES (new."leader_id", 0, 'proposal ' || new."id" || ': ' || old."state" || ' to ' || new."state");
    END IF;
    RETURN NULL;
END;
$$;
CREATE TRIGGER "proposals_after_update" AFTER UPDATE ON "public"."proposals"
FOR EACH ROW
EXECUTE FUNCTION "public"."proposals_after_update"();
