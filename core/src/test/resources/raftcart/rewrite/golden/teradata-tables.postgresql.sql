-- to: postgresql mariadb
CREATE TABLE obs.dome (
    dome_id integer GENERATED ALWAYS AS IDENTITY (START WITH 10 INCREMENT BY 5) NOT NULL,
    name character varying(40) NOT NULL,
    opened timestamp(0) without time zone DEFAULT CURRENT_TIMESTAMP(0) NOT NULL,
    height numeric(5,2) DEFAULT 0.00 CHECK (height >= 0),
    small smallint,
    ratio double precision,
    mask bytea CHECK (octet_length(mask) = 4),
    remark text,
    night date DEFAULT CURRENT_DATE,
    code character(3),
    CONSTRAINT dome_upi UNIQUE (dome_id)
);
CREATE TABLE obs.lamp (
    dome_id integer NOT NULL,
    lamp_no smallint NOT NULL,
    watts double precision,
    bought date,
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES obs.dome (dome_id)
);
CREATE INDEX lamp_bought_ix ON obs.lamp (bought);
ALTER TABLE obs.lamp ADD COLUMN note character varying(200) DEFAULT 'none';
ALTER TABLE obs.lamp ADD COLUMN extra integer;
ALTER TABLE obs.lamp DROP COLUMN extra;
ALTER TABLE obs.lamp RENAME COLUMN note TO remark;
ALTER TABLE obs.lamp ADD CONSTRAINT lamp_ck CHECK (watts > 0);
ALTER TABLE obs.lamp DROP CONSTRAINT lamp_ck;
ALTER TABLE obs.lamp RENAME TO lamps;
CREATE TABLE obs.dome_copy AS
SELECT dome_id, name FROM obs.dome
WITH NO DATA;
CREATE TEMPORARY TABLE tally (
    n integer,
    label character varying(10)
);
CREATE OR REPLACE VIEW obs.lamp_view (dome, lamps) AS
SELECT dome_id, COUNT(*) FROM obs.lamps GROUP BY dome_id;
COMMENT ON TABLE obs.dome IS 'Domes';
COMMENT ON COLUMN obs.dome.name IS 'its name';
DROP VIEW obs.lamp_view;
DELETE FROM obs.lamps;
DROP TABLE obs.dome_copy;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: MULTISET
-- 2:1: RC0502 adapted: Storage clauses left out: NO FALLBACK
-- 2:1: RC0502 adapted: Storage clauses left out: NO BEFORE JOURNAL
-- 2:1: RC0502 adapted: Storage clauses left out: CHECKSUM = DEFAULT
-- 4:3: RC0502 adapted: Storage clauses left out: name: CHARACTER SET UNICODE
-- 4:3: RC0502 adapted: Storage clauses left out: name: NOT CASESPECIFIC
-- 7:3: RC0117 adapted: Wider type: small: 8 bits in a smallint
-- 9:3: RC0109 adapted: Fixed number of bytes kept by a check: mask: bytea with a check for 4 bytes
-- 11:3: RC0502 adapted: Storage clauses left out: night: FORMAT 'YYYY-MM-DD'
-- 12:3: RC0502 adapted: Storage clauses left out: code: COMPRESS ('AAA' , 'BBB')
-- 12:3: RC0502 adapted: Storage clauses left out: code: CASESPECIFIC
-- 14:1: RC0627 check: Said in other words, with a difference: left out: SET: no row twice
-- 14:1: RC0502 adapted: Storage clauses left out: PRIMARY INDEX
-- 14:158: RC0627 check: Said in other words, with a difference: left out: WITH NO CHECK OPTION
-- 27:1: RC0604 adapted: Client command left out: COLLECT STATISTICS COLUMN ( dome_id ) ON obs . lamps
