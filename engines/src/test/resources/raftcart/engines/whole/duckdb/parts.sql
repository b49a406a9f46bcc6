CREATE SEQUENCE log_seq START 100 INCREMENT 5;
CREATE TYPE kind AS ENUM ('light', 'dark');
CREATE TABLE frame (
  frame_id INTEGER PRIMARY KEY,
  guid UUID DEFAULT uuid(),
  code VARCHAR NOT NULL DEFAULT 'F',
  taken TIMESTAMP DEFAULT now()::TIMESTAMP,
  tz TIMESTAMPTZ DEFAULT current_timestamp,
  night DATE DEFAULT current_date,
  flag BOOLEAN NOT NULL DEFAULT false,
  flux DECIMAL(9,3) DEFAULT 0.000 CHECK (flux >= 0),
  k kind DEFAULT 'light',
  tags VARCHAR[] DEFAULT [],
  note VARCHAR,
  up VARCHAR GENERATED ALWAYS AS (upper(code)) VIRTUAL,
  CHECK (length(code) > 0),
  UNIQUE (code)
);
CREATE TABLE frame_log (log_id BIGINT DEFAULT nextval('log_seq') PRIMARY KEY, frame_id INTEGER REFERENCES frame (frame_id), at TIMESTAMP NOT NULL DEFAULT now());
CREATE INDEX ix1 ON frame (taken);
CREATE VIEW v1 AS SELECT frame_id, coalesce(note, 'none') AS note, strftime(taken, '%Y-%m-%d') AS t, date_diff('day', taken, now()::TIMESTAMP) AS d, CASE WHEN flag THEN 'yes' ELSE 'no' END AS y FROM frame QUALIFY row_number() OVER (PARTITION BY k ORDER BY taken DESC) = 1;
CREATE VIEW v2 AS SELECT flag, count(*) AS n, string_agg(code, ',' ORDER BY code) AS codes FROM frame GROUP BY ALL;
INSERT INTO frame (frame_id, code, taken, flag, flux, k, tags) VALUES (1, 'F1', '2026-03-01 22:10:00', true, 1.5, 'dark', ['a', 'b']), (2, 'F2', '2026-03-02 01:02:03.456', false, 0.25, 'light', []);
INSERT INTO frame_log (frame_id) VALUES (1);
