-- to: postgresql mariadb
CREATE MULTISET TABLE obs.dome, NO FALLBACK, NO BEFORE JOURNAL, CHECKSUM = DEFAULT (
  dome_id INTEGER GENERATED ALWAYS AS IDENTITY (START WITH 10 INCREMENT BY 5 NO CYCLE) NOT NULL,
  name VARCHAR(40) CHARACTER SET UNICODE NOT CASESPECIFIC NOT NULL,
  opened TIMESTAMP(0) NOT NULL DEFAULT CURRENT_TIMESTAMP(0),
  height DECIMAL(5,2) DEFAULT 0.00 CHECK (height >= 0),
  small BYTEINT,
  ratio REAL,
  mask BYTE(4),
  remark CLOB(1M),
  night DATE FORMAT 'YYYY-MM-DD' DEFAULT DATE,
  code CHAR(3) CASESPECIFIC COMPRESS ('AAA', 'BBB')
) UNIQUE PRIMARY INDEX dome_upi (dome_id);
CREATE SET TABLE obs.lamp (dome_id INTEGER NOT NULL, lamp_no SMALLINT NOT NULL, watts FLOAT, bought DATE, CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no), CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES WITH NO CHECK OPTION obs.dome (dome_id)) PRIMARY INDEX (dome_id);
CREATE INDEX lamp_bought_ix (bought) ON obs.lamp;
ALTER TABLE obs.lamp ADD note VARCHAR(200) DEFAULT 'none', ADD extra INTEGER;
ALTER TABLE obs.lamp DROP extra;
ALTER TABLE obs.lamp RENAME note TO remark;
ALTER TABLE obs.lamp ADD CONSTRAINT lamp_ck CHECK (watts > 0);
ALTER TABLE obs.lamp DROP CONSTRAINT lamp_ck;
RENAME TABLE obs.lamp TO obs.lamps;
CREATE TABLE obs.dome_copy AS (SELECT dome_id, name FROM obs.dome) WITH NO DATA;
CREATE VOLATILE TABLE tally (n INTEGER, label VARCHAR(10)) ON COMMIT PRESERVE ROWS;
REPLACE VIEW obs.lamp_view (dome, lamps) AS SELECT dome_id, COUNT(*) FROM obs.lamps GROUP BY dome_id;
COMMENT ON TABLE obs.dome AS 'Domes';
COMMENT ON COLUMN obs.dome.name AS 'its name';
COLLECT STATISTICS COLUMN (dome_id) ON obs.lamps;
DROP VIEW obs.lamp_view;
DELETE FROM obs.lamps ALL;
DROP TABLE obs.dome_copy;
