-- to: postgresql mariadb
CREATE TABLE dome (
    dome_id integer GENERATED ALWAYS AS IDENTITY (START WITH 10 INCREMENT BY 5) NOT NULL CONSTRAINT dome_pk PRIMARY KEY,
    name character varying(40) NOT NULL CONSTRAINT dome_name_uk UNIQUE,
    opened timestamp(6) without time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    height numeric(5,2) DEFAULT 0 CONSTRAINT dome_height_ck CHECK (height >= 0),
    area numeric(10,4) GENERATED ALWAYS AS (height * height) STORED,
    mask bytea CHECK (octet_length(mask) = 4),
    remark text,
    active boolean DEFAULT TRUE NOT NULL
);
CREATE TABLE lamp (
    dome_id integer NOT NULL,
    lamp_no smallint NOT NULL,
    watts double precision,
    rate real,
    bought date DEFAULT CURRENT_DATE,
    photo bytea,
    PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES dome ON DELETE CASCADE ON UPDATE RESTRICT
);
CREATE UNIQUE INDEX lamp_bought_ux ON lamp (bought ASC, watts DESC);
ALTER TABLE lamp ADD COLUMN note character varying(200) DEFAULT 'none' NOT NULL;
ALTER TABLE lamp ALTER COLUMN note TYPE character varying(400);
ALTER TABLE lamp ALTER COLUMN note DROP NOT NULL;
ALTER TABLE lamp ALTER COLUMN note SET DEFAULT 'x';
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp ADD CONSTRAINT lamp_ck CHECK (watts > 0);
ALTER TABLE lamp DROP CONSTRAINT lamp_ck;
ALTER TABLE lamp DROP CONSTRAINT lamp_dome_fk;
ALTER TABLE lamp DROP CONSTRAINT lamp_pkey;
ALTER TABLE dome ALTER COLUMN dome_id RESTART WITH 100;
ALTER TABLE lamp RENAME TO lamps;
CREATE SEQUENCE shift_seq START WITH 1 INCREMENT BY 2;
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WITH NO DATA;
CREATE TEMPORARY TABLE tally (
    n integer,
    label character varying(10)
);
CREATE VIEW lamp_view (dome, lamps) AS SELECT dome_id, COUNT(*) FROM lamps GROUP BY dome_id;
CREATE VIEW bulbs AS
SELECT * FROM lamps;
DROP VIEW bulbs;
DROP VIEW lamp_view;
TRUNCATE TABLE lamps;
DROP TABLE dome_copy;

-- findings
-- 2:1: RC0617 check: Trailing blanks in comparisons: those of stored texts count on the target, in this table and in all others; nothing to do where texts have none
-- 8:3: RC0109 adapted: Fixed number of bytes kept by a check: mask: bytea with a check for 4 bytes
-- 13:1: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 28:1: RC0502 adapted: Storage clauses left out: NOT LOGGED
-- 30:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 31:1: RC0627 check: Said in other words, with a difference: a synonym, which is taken for the view that stands for it
