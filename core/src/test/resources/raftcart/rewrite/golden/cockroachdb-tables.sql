-- to: postgresql mariadb
CREATE TABLE IF NOT EXISTS dome (
  dome_id INT8 NOT NULL DEFAULT unique_rowid(),
  name STRING(40) NOT NULL,
  opened TIMESTAMPTZ NOT NULL DEFAULT now():::TIMESTAMPTZ,
  height DECIMAL(5,2) DEFAULT 0:::DECIMAL,
  area DECIMAL(10,4) AS (height * height) STORED,
  tags STRING[] NULL,
  doc JSONB NULL,
  token UUID NOT NULL DEFAULT gen_random_uuid(),
  active BOOL NOT NULL DEFAULT true,
  data BYTES,
  CONSTRAINT dome_pkey PRIMARY KEY (dome_id ASC),
  UNIQUE INDEX dome_name_key (name ASC),
  INDEX dome_opened_idx (opened DESC) STORING (height),
  INVERTED INDEX dome_doc_idx (doc),
  FAMILY "primary" (dome_id, name, opened, height, doc),
  CONSTRAINT dome_height_ck CHECK (height >= 0:::DECIMAL)
);
CREATE TABLE lamp (dome_id INT8 NOT NULL REFERENCES dome (dome_id) ON DELETE CASCADE, lamp_no INT2 NOT NULL, watts FLOAT8, bought DATE, PRIMARY KEY (dome_id, lamp_no), INDEX (bought));
CREATE UNIQUE INDEX lamp_watts_ux ON lamp (watts DESC) WHERE watts IS NOT NULL;
ALTER TABLE lamp ADD COLUMN note STRING DEFAULT 'none' NOT NULL;
ALTER TABLE lamp ALTER COLUMN note DROP NOT NULL, ALTER COLUMN note DROP DEFAULT;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp RENAME TO lamps;
CREATE SEQUENCE shift_seq START 1 INCREMENT 2;
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WHERE false;
CREATE VIEW lamp_view (dome, lamps) AS SELECT dome_id, count(*) FROM lamps GROUP BY dome_id;
CREATE TYPE band AS ENUM ('U', 'B', 'V');
COMMENT ON TABLE dome IS 'Domes';
DROP VIEW IF EXISTS lamp_view;
TRUNCATE lamps;
DROP TABLE IF EXISTS dome_copy CASCADE;
