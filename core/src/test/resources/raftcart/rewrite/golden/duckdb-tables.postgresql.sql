-- to: postgresql mariadb
CREATE SEQUENCE IF NOT EXISTS dome_seq START WITH 10 INCREMENT BY 5;
DROP TABLE IF EXISTS dome;
CREATE TABLE dome (
    dome_id integer DEFAULT NEXTVAL('dome_seq') PRIMARY KEY,
    name text NOT NULL UNIQUE,
    opened timestamp(6) with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    height numeric(5,2) DEFAULT 0 CHECK (height >= 0),
    area numeric(10,4) GENERATED ALWAYS AS (height * height) STORED,
    kind character varying(5) CHECK (kind IN ('round', 'slit')),
    tags text[],
    doc json,
    size numeric(20,0) CHECK (size BETWEEN 0 AND 18446744073709551615),
    huge numeric(39,0),
    ratio real,
    token uuid DEFAULT GEN_RANDOM_UUID(),
    place text
);
CREATE TABLE lamp (
    dome_id integer REFERENCES dome (dome_id),
    lamp_no smallint NOT NULL,
    watts double precision,
    bought date DEFAULT CURRENT_DATE,
    photo bytea,
    PRIMARY KEY (dome_id, lamp_no)
);
CREATE UNIQUE INDEX lamp_watts_ux ON lamp (watts);
CREATE INDEX dome_lower ON dome ((LOWER(name)));
ALTER TABLE lamp ADD COLUMN IF NOT EXISTS note text DEFAULT 'none';
ALTER TABLE lamp ALTER COLUMN note TYPE text;
ALTER TABLE lamp ALTER COLUMN note TYPE text USING UPPER(note);
ALTER TABLE lamp ALTER COLUMN note SET NOT NULL;
ALTER TABLE lamp ALTER COLUMN note DROP DEFAULT;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp RENAME TO lamps;
CREATE TABLE plate AS SELECT 1 AS plate_id, 'V' AS band;
CREATE TEMPORARY TABLE tally (
    n integer,
    label character varying(10)
);
CREATE OR REPLACE VIEW lamp_view (dome, lamps) AS SELECT dome_id, count(*) FROM lamps GROUP BY dome_id;
COMMENT ON TABLE plate IS 'Plates';
DROP VIEW IF EXISTS lamp_view;
TRUNCATE TABLE lamps;
DROP TABLE IF EXISTS plate CASCADE;

-- findings
-- 3:1: RC0502 adapted: Storage clauses left out: OR REPLACE
-- 9:3: RC0120 adapted: Enumeration becomes a text: kind as a text with a check
-- 12:3: RC0101 adapted: Unsigned range kept by a check: size: numeric(20,0) for unsigned 64 bits
-- 15:22: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 16:3: RC0111 check: Type without counterpart crosses as text or bytes: place: struct(x integer , y integer) as text
-- 29:1: RC0105 adapted: Enumeration becomes a named type: band: its columns get a check each
