-- to: postgresql mariadb
CREATE SEQUENCE IF NOT EXISTS dome_seq START 10 INCREMENT 5;
CREATE OR REPLACE TABLE dome (
  dome_id INTEGER DEFAULT nextval('dome_seq') PRIMARY KEY,
  name VARCHAR NOT NULL UNIQUE,
  opened TIMESTAMPTZ NOT NULL DEFAULT now(),
  height DECIMAL(5,2) DEFAULT 0 CHECK (height >= 0),
  area DECIMAL(10,4) GENERATED ALWAYS AS (height * height) VIRTUAL,
  kind ENUM('round', 'slit'),
  tags VARCHAR[],
  doc JSON,
  size UBIGINT,
  huge HUGEINT,
  ratio FLOAT,
  token UUID DEFAULT gen_random_uuid(),
  place STRUCT(x INTEGER, y INTEGER)
);
CREATE TABLE lamp (dome_id INTEGER REFERENCES dome (dome_id), lamp_no SMALLINT NOT NULL, watts DOUBLE, bought DATE DEFAULT current_date, photo BLOB, PRIMARY KEY (dome_id, lamp_no));
CREATE UNIQUE INDEX lamp_watts_ux ON lamp (watts);
CREATE INDEX dome_lower ON dome (lower(name));
ALTER TABLE lamp ADD COLUMN IF NOT EXISTS note VARCHAR DEFAULT 'none';
ALTER TABLE lamp ALTER COLUMN note SET DATA TYPE VARCHAR;
ALTER TABLE lamp ALTER note TYPE VARCHAR USING upper(note);
ALTER TABLE lamp ALTER COLUMN note SET NOT NULL;
ALTER TABLE lamp ALTER COLUMN note DROP DEFAULT;
ALTER TABLE lamp RENAME note TO remark;
ALTER TABLE lamp DROP remark;
ALTER TABLE lamp RENAME TO lamps;
CREATE TYPE band AS ENUM ('U', 'B', 'V');
CREATE TABLE plate AS SELECT 1 AS plate_id, 'V' AS band;
CREATE TEMP TABLE tally (n INTEGER, label VARCHAR(10));
CREATE OR REPLACE VIEW lamp_view (dome, lamps) AS SELECT dome_id, count(*) FROM lamps GROUP BY dome_id;
COMMENT ON TABLE plate IS 'Plates';
DROP VIEW IF EXISTS lamp_view;
TRUNCATE lamps;
DROP TABLE IF EXISTS plate CASCADE;
