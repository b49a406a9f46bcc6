-- to: postgresql mariadb


-- RC0602 by hand: No counterpart on the target: DROP USER
-- DROP USER obs CASCADE

-- RC0602 by hand: No counterpart on the target: user
-- CREATE USER obs IDENTIFIED BY &pass

-- RC0602 by hand: No counterpart on the target: ALTER USER
-- ALTER USER obs DEFAULT TABLESPACE &tbs
--               QUOTA UNLIMITED ON &tbs
-- RC0602 by hand: No counterpart on the target: ALTER USER
-- ALTER USER obs TEMPORARY TABLESPACE temp
-- RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- GRANT CREATE SESSION, CREATE VIEW, ALTER SESSION, CREATE SEQUENCE TO obs
-- RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- GRANT CREATE SYNONYM, CREATE DATABASE LINK, RESOURCE , UNLIMITED TABLESPACE TO obs

-- RC0602 by hand: No counterpart on the target: the right EXECUTE
-- GRANT execute ON sys.dbms_stats TO obs


-- RC0602 by hand: No counterpart on the target: another script, which the client runs here
-- @?/demo/schema/obs/obs_cre.sql
-- RC0602 by hand: No counterpart on the target: another script, which the client runs here
-- @@obs_popul
-- RC0602 by hand: No counterpart on the target: another script, which the client runs here
-- START obs_idx


CREATE TABLE region (
    region_id numeric NOT NULL,
    region_name character varying(25)
);

CREATE UNIQUE INDEX reg_id_pk
ON region (region_id);

DROP INDEX reg_id_pk;
ALTER TABLE region ADD CONSTRAINT reg_id_pk PRIMARY KEY (region_id);

CREATE TABLE country (
    country_id character(2) NOT NULL,
    country_name character varying(40),
    region_id numeric,
    CONSTRAINT country_c_id_pk PRIMARY KEY (country_id)
); 

ALTER TABLE country ADD CONSTRAINT countr_reg_fk FOREIGN KEY (region_id) REFERENCES region (region_id);

CREATE SEQUENCE site_seq START WITH 3300 INCREMENT BY 100 MAXVALUE 9900;

CREATE TABLE observer (
    observer_id integer,
    first_name character varying(20),
    last_name character varying(25) NOT NULL,
    email character varying(25) NOT NULL,
    hire_date timestamp(0) without time zone DEFAULT LOCALTIMESTAMP NOT NULL,
    job_id character varying(10),
    salary numeric(8,2),
    mark numeric(2,2),
    manager_id integer,
    wide numeric(38,0),
    neg integer,
    fl double precision,
    bf double precision,
    ts timestamp(6) with time zone,
    dur interval,
    lng text,
    lr bytea,
    rid character varying(18),
    urid character varying(4000),
    bfi text,
    nc character varying(10),
    ncl text,
    geo text,
    x xml,
    a text,
    CONSTRAINT obs_salary_min CHECK (salary > 0),
    CONSTRAINT obs_email_uk UNIQUE (email)
);

ALTER TABLE observer ADD CONSTRAINT obs_obs_id_pk PRIMARY KEY (observer_id);
ALTER TABLE observer ADD CONSTRAINT obs_site_fk FOREIGN KEY (site_id) REFERENCES site;
ALTER TABLE observer ADD CONSTRAINT obs_manager_fk FOREIGN KEY (manager_id) REFERENCES observer;

ALTER TABLE site ADD CONSTRAINT dept_mgr_fk FOREIGN KEY (manager_id) REFERENCES observer (observer_id);
-- RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- ALTER TABLE site DISABLE CONSTRAINT dept_mgr_fk
INSERT INTO region VALUES 
        ( 1
        , 'Europe' 
        );
INSERT INTO observer VALUES (100, 'A', 'B', 'SK', DATE '2003-06-17', 'AD', 24000, NULL, NULL, 90);
INSERT INTO observer (d) VALUES (TO_DATE('17-JUN-1987', 'DD-MON-YYYY', 'NLS_DATE_LANGUAGE = American'));
INSERT INTO observer (d) VALUES ('17-JUN-87');
INSERT INTO observer (d, ts, dur)
VALUES (DATE '1998-01-01', TIMESTAMP '1998-01-01 10:00:00', INTERVAL '1 year' + INTERVAL '2 month');
-- RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- ALTER TABLE site ENABLE CONSTRAINT dept_mgr_fk
COMMIT;
CREATE INDEX obs_name_ix ON observer (last_name, first_name);
CREATE INDEX obs_bix ON observer (job_id);
CREATE INDEX obs_up ON observer ((UPPER(last_name)), (NLSSORT(first_name, 'NLS_SORT=GERMAN')));
CREATE INDEX obs_rev ON observer (email);
-- RC0602 by hand: No counterpart on the target: an index of another type
-- CREATE INDEX sup_text_idx ON observer (lng) INDEXTYPE IS ctxsys.context PARAMETERS('nopopulate')
COMMENT ON TABLE region
IS 'Regions table that contains region numbers and names. Contains 4 rows; references with the Countries table.';
COMMENT ON COLUMN region.region_id
IS 'Primary key of regions table.';
CREATE OR REPLACE VIEW obs_details_view (observer_id, job_id, region_name) AS
SELECT e.observer_id, e.job_id, r.region_name
FROM observer e
CROSS JOIN site d
LEFT JOIN region r ON d.region_id = r.region_id
WHERE e.site_id = d.site_id;
CREATE OR REPLACE PROCEDURE secure_dml()
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
BEGIN
    IF TO_CHAR(LOCALTIMESTAMP, 'HH24:MI') NOT BETWEEN '08:00' AND '18:00'
        OR TO_CHAR(LOCALTIMESTAMP, 'DY') IN ('SAT', 'SUN') THEN
        RAISE EXCEPTION USING MESSAGE = 'You may only make changes during normal office hours', ERRCODE = 'U0205';
    END IF;
END;
$$;
CREATE OR REPLACE FUNCTION secure_obs() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    CALL secure_dml();
    RETURN NULL;
END;
$$;
CREATE TRIGGER secure_obs BEFORE INSERT OR UPDATE OR DELETE ON observer
FOR EACH STATEMENT
EXECUTE FUNCTION secure_obs();
-- RC0602 by hand: No counterpart on the target: ALTER TRIGGER
-- ALTER TRIGGER secure_obs DISABLE
-- RC0602 by hand: No counterpart on the target: a type of this kind
-- CREATE OR REPLACE TYPE cust_address_typ
--   AS OBJECT
--     ( street_address     VARCHAR2(40)
--     , postal_code        VARCHAR2(10)
--     )
-- RC0602 by hand: No counterpart on the target: a type of this kind
-- CREATE TYPE phone_list_typ
--   AS VARRAY(5) OF VARCHAR2(25)
-- RC0602 by hand: No counterpart on the target: a type of this kind
-- CREATE TYPE inventory_list_typ
--  AS TABLE OF cust_address_typ
-- RC0602 by hand: No counterpart on the target: a type of this kind
-- CREATE OR REPLACE TYPE catalog_typ UNDER composite_typ
-- ( getCatalogName RETURN VARCHAR2, OVERRIDING MEMBER FUNCTION category_describe RETURN VARCHAR2)
-- RC0602 by hand: No counterpart on the target: a table within a table
-- CREATE TABLE customers
--     ( customer_id        NUMBER(6)     
--     , cust_address       cust_address_typ
--     , phone_numbers      phone_list_typ
--     , CONSTRAINT         customer_credit_limit_max
--                          CHECK (credit_limit <= 5000)
--     ) NESTED TABLE subcategory_ref_list STORE AS subcategory_ref_list_nestedtab
CREATE TABLE sales (
    prod_id numeric NOT NULL,
    time_id timestamp(0) without time zone NOT NULL,
    amount_sold numeric(10,2)
)
PARTITION BY RANGE (time_id);
CREATE TABLE sales_sales_1995 PARTITION OF sales FOR VALUES FROM (MINVALUE) TO (DATE '1996-01-01');
CREATE TABLE sales_sales_h1_1997 PARTITION OF sales FOR VALUES FROM (DATE '1996-01-01') TO (DATE '1997-07-01');
CREATE TABLE sales_sales_max PARTITION OF sales FOR VALUES FROM (DATE '1997-07-01') TO (MAXVALUE);
-- RC0602 by hand: No counterpart on the target: an external table
-- CREATE TABLE ext_tab (id NUMBER, nm VARCHAR2(10))
-- ORGANIZATION EXTERNAL (
--   TYPE ORACLE_LOADER
--   DEFAULT DIRECTORY data_file_dir
--   ACCESS PARAMETERS
--   ( RECORDS DELIMITED BY NEWLINE CHARACTERSET US7ASCII
--     TERRITORY AMERICA
--     BADFILE log_file_dir:'ext_1v3.bad'
--     FIELDS TERMINATED BY "|" OPTIONALLY ENCLOSED BY '^' LDRTRIM
--   )
--   LOCATION ('sale1v3.dat')
-- )
-- REJECT LIMIT 100
CREATE MATERIALIZED VIEW cal_month_sales_mv AS
SELECT t.calendar_month_desc, SUM(s.amount_sold) AS dollars
FROM sales s, times t
WHERE s.time_id = t.time_id
GROUP BY t.calendar_month_desc;
-- RC0602 by hand: No counterpart on the target: a materialized view log
-- CREATE MATERIALIZED VIEW LOG ON sales WITH ROWID, SEQUENCE (prod_id) INCLUDING NEW VALUES
-- RC0602 by hand: No counterpart on the target: dimension
-- CREATE DIMENSION customers_dim 
--   LEVEL customer IS (customers.cust_id)
--   LEVEL city IS (customers.cust_city_id)
--   HIERARCHY geog_rollup (customer CHILD OF city)
--   ATTRIBUTE customer DETERMINES (cust_first_name)
-- RC0602 by hand: No counterpart on the target: dbms_stats.gather_schema_stats, a procedure of the engine
-- EXECUTE dbms_stats.gather_schema_stats( -
--         ownname          => 'OBS'                 , -
--         estimate_percent => DBMS_STATS.AUTO_SAMPLE_SIZE           , -
--         granularity      => 'ALL'                      )
-- RC0602 by hand: No counterpart on the target: directory
-- CREATE DIRECTORY media_dir AS '/data/media'
-- RC0602 by hand: No counterpart on the target: objects of another database
-- CREATE PUBLIC DATABASE LINK dbl CONNECT TO nim IDENTIFIED BY *** USING 'remote'
-- RC0602 by hand: No counterpart on the target: context
-- CREATE CONTEXT ctx USING pkg
-- RC0602 by hand: No counterpart on the target: cluster
-- CREATE CLUSTER emp_dept (deptno NUMBER(3)) SIZE 600 TABLESPACE users STORAGE (INITIAL 200K NEXT 300K MINEXTENTS 2 PCTINCREASE 33)
-- RC0602 by hand: No counterpart on the target: the index of a cluster
-- CREATE INDEX emp_dept_index ON CLUSTER emp_dept TABLESPACE users
CREATE TABLE OBS.EXPORTED (
    ID bigint NOT NULL,
    NM character varying(200) DEFAULT 'n/a',
    CREATED timestamp(6) without time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    G bigint GENERATED ALWAYS AS (ID * 2) STORED,
    IDN bigint GENERATED ALWAYS AS IDENTITY (START WITH 1 INCREMENT BY 1 MINVALUE 1) NOT NULL,
    CONSTRAINT EXP_PK PRIMARY KEY (ID),
    CONSTRAINT EXP_CK CHECK (NM IS NOT NULL)
);
ALTER TABLE OBS.EXPORTED ALTER COLUMN NM SET NOT NULL;
ALTER TABLE OBS.EXPORTED ADD CONSTRAINT FK1 FOREIGN KEY (ID) REFERENCES OBS.SITE (ID) ON DELETE CASCADE;
ALTER TABLE OBS.SITE2 ADD CONSTRAINT P2 PRIMARY KEY (ID);
CREATE TEMPORARY TABLE gtt (
    id numeric
);
CREATE UNIQUE INDEX IX9 ON OBS.EXPORTED (ID, NM DESC);
INSERT INTO region VALUES (5, 'a');
INSERT INTO region VALUES (6, 'b');
DO $$
BEGIN
    RAISE NOTICE '%', 'x';
END;
$$;
-- RC0602 by hand: No counterpart on the target: a procedure called by the client
-- EXEC :n := 5

-- findings
-- 2:1: RC0604 adapted: Client command left out: rem
-- 3:1: RC0604 adapted: Client command left out: rem Copyright notice of nobody
-- 4:1: RC0604 adapted: Client command left out: rem
-- 5:1: RC0604 adapted: Client command left out: rem NAME
-- 6:1: RC0604 adapted: Client command left out: rem   obs_main.sql - Main script for the OBS schema
-- 7:1: RC0604 adapted: Client command left out: rem
-- 8:1: RC0604 adapted: Client command left out: SET ECHO OFF
-- 9:1: RC0604 adapted: Client command left out: SET VERIFY OFF
-- 10:1: RC0604 adapted: Client command left out: SET FEEDBACK 1
-- 11:1: RC0604 adapted: Client command left out: SET NUMWIDTH 10
-- 12:1: RC0604 adapted: Client command left out: SET LINESIZE 80
-- 13:1: RC0604 adapted: Client command left out: SET TRIMSPOOL ON
-- 14:1: RC0604 adapted: Client command left out: SET TAB OFF
-- 15:1: RC0604 adapted: Client command left out: SET PAGESIZE 100
-- 17:1: RC0604 adapted: Client command left out: PROMPT
-- 18:1: RC0604 adapted: Client command left out: PROMPT specify password for OBS as parameter 1:
-- 19:1: RC0604 adapted: Client command left out: DEFINE pass     = &1
-- 20:1: RC0604 adapted: Client command left out: PROMPT
-- 21:1: RC0604 adapted: Client command left out: DEFINE tbs      = &2
-- 22:1: RC0604 adapted: Client command left out: SPOOL &log_path/obs_main.log
-- 24:1: RC0602 by hand: No counterpart on the target: DROP USER
-- 26:1: RC0602 by hand: No counterpart on the target: user
-- 28:1: RC0602 by hand: No counterpart on the target: ALTER USER
-- 30:1: RC0602 by hand: No counterpart on the target: ALTER USER
-- 31:1: RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- 32:1: RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- 34:1: RC0604 adapted: Client command left out: CONNECT sys/***@&connect_string AS SYSDBA;
-- 35:1: RC0602 by hand: No counterpart on the target: the right EXECUTE
-- 37:1: RC0604 adapted: Client command left out: CONNECT obs/***@&connect_string
-- 38:1: RC0627 check: Said in other words, with a difference: left out, though it changes what statements mean: ALTER SESSION SET NLS_LANGUAGE = American
-- 39:1: RC0627 check: Said in other words, with a difference: left out, though it changes what statements mean: ALTER SESSION SET NLS_TERRITORY = America
-- 41:1: RC0602 by hand: No counterpart on the target: another script, which the client runs here
-- 42:1: RC0602 by hand: No counterpart on the target: another script, which the client runs here
-- 43:1: RC0602 by hand: No counterpart on the target: another script, which the client runs here
-- 45:1: RC0604 adapted: Client command left out: Prompt ******  Creating REGION table ....
-- 56:1: RC0609 adapted: Said in other words: the key makes the index reg_id_pk itself
-- 61:1: RC0502 adapted: Storage clauses left out: ORGANIZATION INDEX
-- 99:7: RC0119 check: Numbers may lose digits: fl: float of up to 38 digits as a floating-point number of 15
-- 107:7: RC0111 check: Type without counterpart crosses as text or bytes: bfi: bfile as text
-- 110:7: RC0111 check: Type without counterpart crosses as text or bytes: geo: mdsys.sdo_geometry as text
-- 112:7: RC0111 check: Type without counterpart crosses as text or bytes: a: sys.anydata as text
-- 135:18: RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- 140:52: RC0609 adapted: Said in other words: the date that the mask reads: 2003-06-17
-- 141:34: RC0606 check: Function is not in the dictionary: TO_DATE with these 3 argument(s)
-- 144:18: RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- 146:1: RC0502 adapted: Storage clauses left out: NOLOGGING
-- 146:1: RC0502 adapted: Storage clauses left out: COMPUTE STATISTICS
-- 146:1: RC0502 adapted: Storage clauses left out: TABLESPACE
-- 146:1: RC0502 adapted: Storage clauses left out: &tbs PARALLEL 4
-- 147:1: RC0502 adapted: Storage clauses left out: LOCAL
-- 147:1: RC0502 adapted: Storage clauses left out: NOLOGGING
-- 147:1: RC0502 adapted: Storage clauses left out: BITMAP
-- 148:52: RC0606 check: Function is not in the dictionary: NLSSORT
-- 149:1: RC0502 adapted: Storage clauses left out: REVERSE
-- 150:45: RC0602 by hand: No counterpart on the target: an index of another type
-- 158:4: RC0609 adapted: Said in other words: (+) as LEFT JOIN
-- 155:1: RC0626 check: Right in other words: WITH READ ONLY: grant nothing but SELECT on the view
-- 169:1: RC0609 adapted: Said in other words: code in the target's own language
-- 179:1: RC0609 adapted: Said in other words: code in the target's own language
-- 185:1: RC0602 by hand: No counterpart on the target: ALTER TRIGGER
-- 187:6: RC0602 by hand: No counterpart on the target: a type of this kind
-- 193:6: RC0602 by hand: No counterpart on the target: a type of this kind
-- 196:5: RC0602 by hand: No counterpart on the target: a type of this kind
-- 198:36: RC0602 by hand: No counterpart on the target: a type of this kind
-- 207:7: RC0602 by hand: No counterpart on the target: a table within a table
-- 208:1: RC0502 adapted: Storage clauses left out: PCTFREE 5 NOLOGGING
-- 214:42: RC0609 adapted: Said in other words: the date that the mask reads: 1996-01-01
-- 215:45: RC0609 adapted: Said in other words: the date that the mask reads: 1997-07-01
-- 208:1: RC0609 adapted: Said in other words: the partitions by RANGE (time_id)
-- 218:1: RC0602 by hand: No counterpart on the target: an external table
-- 230:1: RC0502 adapted: Storage clauses left out: PCTFREE 5 BUILD IMMEDIATE REFRESH FORCE ENABLE QUERY REWRITE
-- 241:26: RC0602 by hand: No counterpart on the target: a materialized view log
-- 242:1: RC0602 by hand: No counterpart on the target: dimension
-- 247:1: RC0602 by hand: No counterpart on the target: dbms_stats.gather_schema_stats, a procedure of the engine
-- 251:1: RC0602 by hand: No counterpart on the target: directory
-- 252:15: RC0602 by hand: No counterpart on the target: objects of another database
-- 253:1: RC0627 check: Said in other words, with a difference: a synonym that has the name of its object is left out; name the schema, or put it on the path
-- 254:1: RC0602 by hand: No counterpart on the target: context
-- 255:1: RC0602 by hand: No counterpart on the target: cluster
-- 256:40: RC0602 by hand: No counterpart on the target: the index of a cluster
-- 257:1: RC0502 adapted: Storage clauses left out: SUPPLEMENTAL LOG DATA (ALL) COLUMNS
-- 257:1: RC0502 adapted: Storage clauses left out: SEGMENT CREATION IMMEDIATE PCTFREE 10 PCTUSED 40 INITRANS 1 MAXTRANS 255 NOCOMPRESS LOGGING
-- 257:1: RC0502 adapted: Storage clauses left out: STORAGE (INITIAL 65536 NEXT 1048576 MINEXTENTS 1 MAXEXTENTS 2147483645 PCTINCREASE 0 FREELISTS 1 FREELIST GROUPS 1 BUFFER_POOL DEFAULT FLASH_CACHE DEFAULT CELL_FLASH_CACHE DEFAULT)
-- 257:1: RC0502 adapted: Storage clauses left out: TABLESPACE "USERS" LOB ("NM") STORE AS BASICFILE (TABLESPACE "USERS" ENABLE STORAGE IN ROW CHUNK 8192 RETENTION NOCACHE LOGGING)
-- 257:1: RC0609 adapted: Said in other words: no numbers ahead: each session would keep, and lose, 20 of them
-- 263:3: RC0502 adapted: Storage clauses left out: USING INDEX
-- 263:3: RC0502 adapted: Storage clauses left out: PCTFREE 10
-- 263:3: RC0502 adapted: Storage clauses left out: INITRANS 2
-- 263:3: RC0502 adapted: Storage clauses left out: MAXTRANS 255
-- 263:3: RC0502 adapted: Storage clauses left out: COMPUTE STATISTICS
-- 263:3: RC0502 adapted: Storage clauses left out: STORAGE (INITIAL 65536 NEXT 1048576 MINEXTENTS 1 MAXEXTENTS 2147483645 PCTINCREASE 0 FREELISTS 1 FREELIST GROUPS 1 BUFFER_POOL DEFAULT FLASH_CACHE DEFAULT CELL_FLASH_CACHE DEFAULT)
-- 263:3: RC0502 adapted: Storage clauses left out: TABLESPACE "USERS"
-- 269:3: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 283:31: RC0502 adapted: Storage clauses left out: USING INDEX OBS.EXP_PK
-- 284:1: RC0627 check: Said in other words, with a difference: the table is there for all sessions on the source; on the target each session has to create its own
-- 285:1: RC0502 adapted: Storage clauses left out: PCTFREE 10
-- 285:1: RC0502 adapted: Storage clauses left out: INITRANS 2
-- 285:1: RC0502 adapted: Storage clauses left out: MAXTRANS 255
-- 285:1: RC0502 adapted: Storage clauses left out: COMPUTE STATISTICS
-- 285:1: RC0502 adapted: Storage clauses left out: TABLESPACE "USERS"
-- 288:1: RC0609 adapted: Said in other words: INSERT ALL as one INSERT for each table
-- 296:1: RC0604 adapted: Client command left out: COLUMN x FORMAT a20
-- 297:1: RC0604 adapted: Client command left out: TTITLE OFF
-- 298:1: RC0604 adapted: Client command left out: WHENEVER SQLERROR EXIT SQL.SQLCODE
-- 299:1: RC0604 adapted: Client command left out: VARIABLE n NUMBER
-- 300:1: RC0602 by hand: No counterpart on the target: a procedure called by the client
-- 301:1: RC0604 adapted: Client command left out: PRINT n
-- 302:1: RC0604 adapted: Client command left out: UNDEFINE pass
-- 303:1: RC0604 adapted: Client command left out: HOST ls
-- 304:1: RC0604 adapted: Client command left out: ! ls
-- 305:1: RC0604 adapted: Client command left out: SHOW ERRORS
-- 306:1: RC0604 adapted: Client command left out: EXIT
