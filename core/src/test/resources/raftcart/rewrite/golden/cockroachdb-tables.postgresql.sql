-- to: postgresql mariadb
CREATE TABLE IF NOT EXISTS dome (
    dome_id bigint DEFAULT unique_rowid() NOT NULL,
    name character varying(40) NOT NULL,
    opened timestamp(6) with time zone DEFAULT CAST(CURRENT_TIMESTAMP AS timestamp(6) with time zone) NOT NULL,
    height numeric(5,2) DEFAULT 0,
    area numeric(10,4) GENERATED ALWAYS AS (height * height) STORED,
    tags text[],
    doc json,
    token uuid DEFAULT GEN_RANDOM_UUID() NOT NULL,
    active boolean DEFAULT TRUE NOT NULL,
    data bytea,
    CONSTRAINT dome_pkey PRIMARY KEY (dome_id),
    CONSTRAINT dome_name_key UNIQUE (name),
    CONSTRAINT dome_height_ck CHECK (height >= 0)
);
CREATE INDEX dome_opened_idx ON dome (opened DESC);
CREATE TABLE lamp (
    dome_id bigint NOT NULL REFERENCES dome (dome_id) ON DELETE CASCADE,
    lamp_no smallint NOT NULL,
    watts double precision,
    bought date,
    PRIMARY KEY (dome_id, lamp_no)
);
CREATE INDEX ON lamp (bought);
CREATE UNIQUE INDEX lamp_watts_ux ON lamp (watts DESC) WHERE watts IS NOT NULL;
ALTER TABLE lamp ADD COLUMN note text DEFAULT 'none' NOT NULL;
ALTER TABLE lamp ALTER COLUMN note DROP NOT NULL;
ALTER TABLE lamp ALTER COLUMN note DROP DEFAULT;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp RENAME TO lamps;
CREATE SEQUENCE shift_seq START WITH 1 INCREMENT BY 2;
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WHERE false;
CREATE VIEW lamp_view (dome, lamps) AS SELECT dome_id, count(*) FROM lamps GROUP BY dome_id;
COMMENT ON TABLE dome IS 'Domes';
DROP VIEW IF EXISTS lamp_view;
TRUNCATE TABLE lamps;
DROP TABLE IF EXISTS dome_copy CASCADE;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: FAMILY primary (dome_id , name , opened , height , doc)
-- 3:33: RC0606 check: Function is not in the dictionary: unique_rowid
-- 10:31: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 16:3: RC0627 check: Said in other words, with a difference: a full-text, spatial or inverted index is left out
-- 30:1: RC0105 adapted: Enumeration becomes a named type: band: its columns get a check each
