-- to: postgresql mariadb
CREATE TABLE dome (
  dome_id NUMBER(6) GENERATED ALWAYS AS IDENTITY (START WITH 10 INCREMENT BY 5 NOCACHE) CONSTRAINT dome_pk PRIMARY KEY,
  name VARCHAR2(40 CHAR) CONSTRAINT dome_name_nn NOT NULL CONSTRAINT dome_name_uk UNIQUE,
  opened DATE DEFAULT SYSDATE NOT NULL,
  height NUMBER(5,2) CONSTRAINT dome_height_ck CHECK (height BETWEEN 0 AND 99.5),
  slits NUMBER(1) DEFAULT 1 CONSTRAINT dome_slits_ck CHECK (slits IN (1, 2)),
  area NUMBER GENERATED ALWAYS AS (height * height * 3.1416) VIRTUAL,
  remark CLOB
);
CREATE TABLE lamp (
  dome_id NUMBER(6) NOT NULL,
  lamp_no NUMBER(3) NOT NULL,
  kind CHAR(2) DEFAULT 'LE',
  watts BINARY_DOUBLE,
  bought TIMESTAMP(3) DEFAULT SYSTIMESTAMP,
  seen TIMESTAMP WITH LOCAL TIME ZONE,
  serial RAW(16),
  CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no) USING INDEX,
  CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE,
  CONSTRAINT lamp_kind_ck CHECK (kind IS NOT NULL AND UPPER(kind) = kind) ENABLE NOVALIDATE
);
CREATE TABLE shift (
  shift_id INTEGER PRIMARY KEY,
  lamp_dome NUMBER(6),
  lamp_no NUMBER(3),
  boss NUMBER(38) REFERENCES shift,
  starts INTERVAL DAY TO SECOND,
  CONSTRAINT shift_lamp_fk FOREIGN KEY (lamp_dome, lamp_no) REFERENCES lamp DEFERRABLE INITIALLY DEFERRED
);
CREATE UNIQUE INDEX lamp_serial_ux ON lamp (serial);
CREATE INDEX shift_boss_ix ON shift (boss) TABLESPACE idx PCTFREE 5;
CREATE INDEX lamp_kind_ix ON lamp (kind DESC, watts) ONLINE COMPRESS 1;
ALTER TABLE shift ADD (note VARCHAR2(200), minutes NUMBER(4) DEFAULT 0 NOT NULL);
ALTER TABLE shift MODIFY (note VARCHAR2(400) DEFAULT 'none');
ALTER TABLE shift MODIFY minutes NULL;
ALTER TABLE shift RENAME COLUMN note TO remark;
ALTER TABLE shift DROP COLUMN minutes;
ALTER TABLE shift ADD CONSTRAINT shift_remark_uk UNIQUE (remark, shift_id);
ALTER TABLE shift DISABLE CONSTRAINT shift_remark_uk;
ALTER TABLE shift DROP CONSTRAINT shift_remark_uk;
ALTER TABLE lamp DROP CONSTRAINT lamp_kind_ck;
ALTER TABLE lamp RENAME CONSTRAINT lamp_dome_fk TO lamp_of_dome;
ALTER INDEX shift_boss_ix RENAME TO shift_by_boss;
ALTER TABLE dome RENAME TO domes;
RENAME domes TO dome;
CREATE GLOBAL TEMPORARY TABLE tally (n NUMBER(9), label VARCHAR2(10)) ON COMMIT PRESERVE ROWS;
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WHERE 1 = 0;
CREATE SEQUENCE shift_seq START WITH 1 MAXVALUE 999999 NOCYCLE NOCACHE ORDER;
ALTER SEQUENCE shift_seq INCREMENT BY 2;
CREATE OR REPLACE FORCE VIEW lamp_view (dome, lamps) AS SELECT dome_id, COUNT(*) FROM lamp GROUP BY dome_id;
COMMENT ON TABLE lamp IS 'Lamps of the domes';
COMMENT ON COLUMN lamp.watts IS 'Power''s measure';
DROP VIEW lamp_view;
DROP INDEX lamp_serial_ux;
DROP SEQUENCE shift_seq;
DROP TABLE shift CASCADE CONSTRAINTS PURGE;
TRUNCATE TABLE lamp DROP STORAGE;
