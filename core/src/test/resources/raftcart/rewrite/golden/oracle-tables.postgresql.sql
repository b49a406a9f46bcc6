-- to: postgresql mariadb
CREATE TABLE dome (
    dome_id integer GENERATED ALWAYS AS IDENTITY (START WITH 10 INCREMENT BY 5) CONSTRAINT dome_pk PRIMARY KEY,
    name character varying(40) NOT NULL CONSTRAINT dome_name_uk UNIQUE,
    opened timestamp(0) without time zone DEFAULT LOCALTIMESTAMP NOT NULL,
    height numeric(5,2) CONSTRAINT dome_height_ck CHECK (height BETWEEN 0 AND 99.5),
    slits smallint DEFAULT 1 CONSTRAINT dome_slits_ck CHECK (slits IN (1, 2)),
    area numeric GENERATED ALWAYS AS (height * height * 3.1416) STORED,
    remark text
);
CREATE TABLE lamp (
    dome_id integer NOT NULL,
    lamp_no smallint NOT NULL,
    kind character(2) DEFAULT 'LE',
    watts double precision,
    bought timestamp(3) without time zone DEFAULT CURRENT_TIMESTAMP,
    seen timestamp(6) with time zone,
    serial bytea CHECK (octet_length(serial) <= 16),
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE,
    CONSTRAINT lamp_kind_ck CHECK (kind IS NOT NULL AND UPPER(kind) = kind)
);
CREATE TABLE shift (
    shift_id bigint PRIMARY KEY,
    lamp_dome integer,
    lamp_no smallint,
    boss bigint REFERENCES shift,
    starts interval,
    CONSTRAINT shift_lamp_fk FOREIGN KEY (lamp_dome, lamp_no) REFERENCES lamp DEFERRABLE INITIALLY DEFERRED
);
CREATE UNIQUE INDEX lamp_serial_ux ON lamp (serial);
CREATE INDEX shift_boss_ix ON shift (boss);
CREATE INDEX lamp_kind_ix ON lamp (kind DESC, watts);
ALTER TABLE shift ADD COLUMN note character varying(200);
ALTER TABLE shift ADD COLUMN minutes smallint DEFAULT 0 NOT NULL;
ALTER TABLE shift ALTER COLUMN note TYPE character varying(400);
ALTER TABLE shift ALTER COLUMN note SET DEFAULT 'none';
ALTER TABLE shift ALTER COLUMN minutes DROP NOT NULL;
ALTER TABLE shift RENAME COLUMN note TO remark;
ALTER TABLE shift DROP COLUMN minutes;
ALTER TABLE shift ADD CONSTRAINT shift_remark_uk UNIQUE (remark, shift_id);
-- RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- ALTER TABLE shift DISABLE CONSTRAINT shift_remark_uk
ALTER TABLE shift DROP CONSTRAINT shift_remark_uk;
ALTER TABLE lamp DROP CONSTRAINT lamp_kind_ck;
ALTER TABLE lamp RENAME CONSTRAINT lamp_dome_fk TO lamp_of_dome;
ALTER INDEX shift_boss_ix RENAME TO shift_by_boss;
ALTER TABLE dome RENAME TO domes;
ALTER TABLE domes RENAME TO dome;
CREATE TEMPORARY TABLE tally (
    n integer,
    label character varying(10)
);
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WHERE 1 = 0;
CREATE SEQUENCE shift_seq START WITH 1 MAXVALUE 999999;
ALTER SEQUENCE shift_seq INCREMENT BY 2;
CREATE OR REPLACE VIEW lamp_view (dome, lamps) AS
SELECT dome_id, COUNT(*) FROM lamp GROUP BY dome_id;
COMMENT ON TABLE lamp IS 'Lamps of the domes';
COMMENT ON COLUMN lamp.watts IS 'Power''s measure';
DROP VIEW lamp_view;
DROP INDEX lamp_serial_ux;
DROP SEQUENCE shift_seq;
DROP TABLE shift CASCADE;
TRUNCATE TABLE lamp;

-- findings
-- 18:3: RC0109 adapted: Fixed number of bytes kept by a check: serial: bytea with a check for at most 16 bytes
-- 19:3: RC0502 adapted: Storage clauses left out: USING INDEX
-- 21:3: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 24:3: RC0123 adapted: Decimal number as a whole number of 64 bits: shift_id: integer of 38 digits as a whole number of 64 bits
-- 27:3: RC0112 adapted: Key column takes the type of the key it refers to: boss
-- 32:1: RC0502 adapted: Storage clauses left out: TABLESPACE idx
-- 32:1: RC0502 adapted: Storage clauses left out: PCTFREE 5
-- 33:1: RC0502 adapted: Storage clauses left out: ONLINE COMPRESS 1
-- 39:23: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 40:19: RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- 47:1: RC0627 check: Said in other words, with a difference: the table is there for all sessions on the source; on the target each session has to create its own
-- 49:1: RC0502 adapted: Storage clauses left out: ORDER
-- 58:1: RC0502 adapted: Storage clauses left out: DROP STORAGE
