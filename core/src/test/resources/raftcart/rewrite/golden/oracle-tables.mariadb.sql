-- to: postgresql mariadb
CREATE TABLE dome (
    dome_id int AUTO_INCREMENT,
    name varchar(40) NOT NULL,
    opened datetime(0) DEFAULT LOCALTIMESTAMP NOT NULL,
    height decimal(5,2),
    slits smallint DEFAULT 1,
    area decimal(65,30) GENERATED ALWAYS AS (height * height * 3.1416),
    remark longtext,
    CONSTRAINT dome_pk PRIMARY KEY (dome_id),
    CONSTRAINT dome_name_uk UNIQUE (name),
    CONSTRAINT dome_height_ck CHECK (height BETWEEN 0 AND 99.5),
    CONSTRAINT dome_slits_ck CHECK (slits IN (1, 2))
) COLLATE utf8mb4_nopad_bin;
ALTER TABLE dome AUTO_INCREMENT = 10;
CREATE TABLE lamp (
    dome_id int NOT NULL,
    lamp_no smallint NOT NULL,
    kind char(2) DEFAULT 'LE',
    watts double,
    bought datetime(3) DEFAULT CURRENT_TIMESTAMP(3),
    seen datetime(6),
    serial varbinary(16),
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE,
    CONSTRAINT lamp_kind_ck CHECK (kind IS NOT NULL AND UPPER(kind) = kind)
) COLLATE utf8mb4_nopad_bin;
CREATE TABLE shift (
    shift_id bigint PRIMARY KEY,
    lamp_dome int,
    lamp_no smallint,
    boss bigint,
    starts longtext,
    FOREIGN KEY (boss) REFERENCES shift (shift_id),
    CONSTRAINT shift_lamp_fk FOREIGN KEY (lamp_dome, lamp_no) REFERENCES lamp (dome_id, lamp_no)
);
CREATE UNIQUE INDEX lamp_serial_ux ON lamp (serial);
CREATE INDEX shift_boss_ix ON shift (boss);
CREATE INDEX lamp_kind_ix ON lamp (kind DESC, watts);
ALTER TABLE shift ADD COLUMN note varchar(200) COLLATE utf8mb4_nopad_bin;
ALTER TABLE shift ADD COLUMN minutes smallint DEFAULT 0 NOT NULL;
ALTER TABLE shift MODIFY COLUMN note varchar(400) COLLATE utf8mb4_nopad_bin DEFAULT 'none';
ALTER TABLE shift MODIFY COLUMN minutes smallint DEFAULT 0;
ALTER TABLE shift RENAME COLUMN note TO remark;
ALTER TABLE shift DROP COLUMN minutes;
ALTER TABLE shift ADD CONSTRAINT shift_remark_uk UNIQUE (remark, shift_id);
-- RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- ALTER TABLE shift DISABLE CONSTRAINT shift_remark_uk
ALTER TABLE shift DROP CONSTRAINT shift_remark_uk;
ALTER TABLE lamp DROP CONSTRAINT lamp_kind_ck;
-- RC0602 by hand: No counterpart on the target: another name for a constraint cannot be said in mariadb
-- ALTER TABLE lamp RENAME CONSTRAINT lamp_dome_fk TO lamp_of_dome
ALTER TABLE shift RENAME INDEX shift_boss_ix TO shift_by_boss;
ALTER TABLE dome RENAME TO domes;
ALTER TABLE domes RENAME TO dome;
CREATE TEMPORARY TABLE tally (
    n int,
    label varchar(10)
) COLLATE utf8mb4_nopad_bin;
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WHERE 1 = 0;
CREATE SEQUENCE shift_seq START WITH 1 MAXVALUE 999999;
ALTER SEQUENCE shift_seq INCREMENT BY 2;
CREATE OR REPLACE VIEW lamp_view (dome, lamps) AS
SELECT dome_id, COUNT(*) FROM lamp GROUP BY dome_id;
ALTER TABLE lamp COMMENT = 'Lamps of the domes';
ALTER TABLE lamp MODIFY COLUMN watts double COMMENT 'Power''s measure';
DROP VIEW lamp_view;
DROP INDEX lamp_serial_ux ON lamp;
DROP SEQUENCE shift_seq;
DROP TABLE shift;
TRUNCATE TABLE lamp;

-- findings
-- 3:3: RC0627 check: Said in other words, with a difference: the target numbers dome_id from 1 and by 1, the source otherwise
-- 8:3: RC0110 check: Number without precision is bounded: area: number without precision as decimal(65,30)
-- 15:3: RC0116 check: NaN and infinity are refused: watts: double
-- 17:3: RC0114 check: Instant becomes date and time in UTC: seen: datetime(6) in UTC
-- 19:3: RC0502 adapted: Storage clauses left out: USING INDEX
-- 21:3: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 24:3: RC0123 adapted: Decimal number as a whole number of 64 bits: shift_id: integer of 38 digits as a whole number of 64 bits
-- 27:3: RC0112 adapted: Key column takes the type of the key it refers to: boss
-- 28:3: RC0111 check: Type without counterpart crosses as text or bytes: starts: interval day to second as longtext
-- 29:3: RC0406 check: Foreign key is checked at once: checked at once
-- 32:1: RC0502 adapted: Storage clauses left out: TABLESPACE idx
-- 32:1: RC0502 adapted: Storage clauses left out: PCTFREE 5
-- 33:1: RC0502 adapted: Storage clauses left out: ONLINE COMPRESS 1
-- 35:1: RC0609 adapted: Said in other words: the whole definition of note
-- 36:1: RC0609 adapted: Said in other words: the whole definition of minutes
-- 39:23: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 40:19: RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- 43:1: RC0602 by hand: No counterpart on the target: another name for a constraint cannot be said in mariadb
-- 47:1: RC0627 check: Said in other words, with a difference: the table is there for all sessions on the source; on the target each session has to create its own
-- 49:1: RC0502 adapted: Storage clauses left out: ORDER
-- 53:1: RC0609 adapted: Said in other words: the whole definition of watts
-- 15:3: RC0116 check: NaN and infinity are refused: watts: double
-- 57:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
-- 58:1: RC0502 adapted: Storage clauses left out: DROP STORAGE
