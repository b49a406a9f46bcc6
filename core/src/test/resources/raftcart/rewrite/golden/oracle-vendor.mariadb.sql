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
    region_id decimal(65,30) NOT NULL,
    region_name varchar(25)
) COLLATE utf8mb4_nopad_bin;

CREATE UNIQUE INDEX reg_id_pk
ON region (region_id);

DROP INDEX reg_id_pk ON region;
ALTER TABLE region ADD CONSTRAINT reg_id_pk PRIMARY KEY (region_id);

CREATE TABLE country (
    country_id char(2) NOT NULL,
    country_name varchar(40),
    region_id decimal(65,30),
    CONSTRAINT country_c_id_pk PRIMARY KEY (country_id)
) COLLATE utf8mb4_nopad_bin; 

ALTER TABLE country ADD CONSTRAINT countr_reg_fk FOREIGN KEY (region_id) REFERENCES region (region_id);

CREATE SEQUENCE site_seq START WITH 3300 INCREMENT BY 100 MAXVALUE 9900;

CREATE TABLE observer (
    observer_id int,
    first_name varchar(20),
    last_name varchar(25) NOT NULL,
    email varchar(25) NOT NULL,
    hire_date datetime(0) DEFAULT LOCALTIMESTAMP NOT NULL,
    job_id varchar(10),
    salary decimal(8,2),
    mark decimal(2,2),
    manager_id int,
    wide decimal(38,0),
    neg int,
    fl double,
    bf double,
    ts datetime(6),
    dur longtext,
    lng longtext,
    lr longblob,
    rid varchar(18),
    urid varchar(4000),
    bfi longtext,
    nc varchar(10),
    ncl longtext,
    geo longtext,
    x longtext,
    a longtext,
    CONSTRAINT obs_salary_min CHECK (salary > 0),
    CONSTRAINT obs_email_uk UNIQUE (email)
) COLLATE utf8mb4_nopad_bin;

ALTER TABLE observer ADD CONSTRAINT obs_obs_id_pk PRIMARY KEY (observer_id);
ALTER TABLE observer ADD CONSTRAINT obs_site_fk FOREIGN KEY (site_id) REFERENCES site;
ALTER TABLE observer ADD CONSTRAINT obs_manager_fk FOREIGN KEY (manager_id) REFERENCES observer (observer_id);

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
-- RC0602 by hand: No counterpart on the target: an interval as a value
-- INSERT INTO observer (d, ts, dur) VALUES (DATE '1998-01-01', TIMESTAMP '1998-01-01 10:00:00', INTERVAL '1-2' YEAR TO MONTH)
-- RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- ALTER TABLE site ENABLE CONSTRAINT dept_mgr_fk
COMMIT;
CREATE INDEX obs_name_ix ON observer (last_name, first_name);
CREATE INDEX obs_bix ON observer (job_id);
-- RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- CREATE INDEX obs_up ON observer (UPPER(last_name), NLSSORT(first_name, 'NLS_SORT=GERMAN'))
CREATE INDEX obs_rev ON observer (email);
-- RC0602 by hand: No counterpart on the target: an index of another type
-- CREATE INDEX sup_text_idx ON observer (lng) INDEXTYPE IS ctxsys.context PARAMETERS('nopopulate')
ALTER TABLE region COMMENT = 'Regions table that contains region numbers and names. Contains 4 rows; references with the Countries table.';
ALTER TABLE region MODIFY COLUMN region_id decimal(65,30) NOT NULL COMMENT 'Primary key of regions table.';
CREATE OR REPLACE VIEW obs_details_view (observer_id, job_id, region_name) AS
SELECT e.observer_id, e.job_id, r.region_name
FROM observer e
CROSS JOIN site d
LEFT JOIN region r ON d.region_id = r.region_id
WHERE e.site_id = d.site_id;
-- RC0603 by hand: Code is not translated: a procedure, which is not written for this target from this source
-- CREATE OR REPLACE PROCEDURE secure_dml
-- IS
-- BEGIN
--   IF TO_CHAR (SYSDATE, 'HH24:MI') NOT BETWEEN '08:00' AND '18:00'
--         OR TO_CHAR (SYSDATE, 'DY') IN ('SAT', 'SUN') THEN
-- 	RAISE_APPLICATION_ERROR (-20205, 
-- 		'You may only make changes during normal office hours');
--   END IF;
-- END secure_dml;
-- RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- CREATE OR REPLACE TRIGGER secure_obs
--   BEFORE INSERT OR UPDATE OR DELETE ON observer
-- BEGIN
--   secure_dml;
-- END secure_obs;
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
    prod_id decimal(65,30) NOT NULL,
    time_id datetime(0) NOT NULL,
    amount_sold decimal(10,2)
)
PARTITION BY RANGE COLUMNS (time_id) (
    PARTITION sales_1995 VALUES LESS THAN ('1996-01-01'),
    PARTITION sales_h1_1997 VALUES LESS THAN ('1997-07-01'),
    PARTITION sales_max VALUES LESS THAN (MAXVALUE)
);
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
-- RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
-- CREATE MATERIALIZED VIEW cal_month_sales_mv
--   PCTFREE 5
--   BUILD IMMEDIATE
--   REFRESH FORCE
--   ENABLE QUERY REWRITE
--   AS
--   SELECT   t.calendar_month_desc
--   ,        SUM(s.amount_sold) AS dollars
--   FROM     sales s, times t
--   WHERE    s.time_id = t.time_id
--   GROUP BY t.calendar_month_desc
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
    NM varchar(200) DEFAULT 'n/a',
    CREATED datetime(6) DEFAULT CURRENT_TIMESTAMP(6) NOT NULL,
    G bigint GENERATED ALWAYS AS (ID * 2),
    IDN bigint AUTO_INCREMENT NOT NULL,
    CONSTRAINT EXP_PK PRIMARY KEY (ID),
    CONSTRAINT EXP_CK CHECK (NM IS NOT NULL),
    UNIQUE (IDN)
) COLLATE utf8mb4_nopad_bin;
ALTER TABLE OBS.EXPORTED MODIFY COLUMN NM varchar(200) COLLATE utf8mb4_nopad_bin DEFAULT 'n/a' NOT NULL;
ALTER TABLE OBS.EXPORTED ADD CONSTRAINT FK1 FOREIGN KEY (ID) REFERENCES OBS.SITE (ID) ON DELETE CASCADE;
ALTER TABLE OBS.SITE2 ADD CONSTRAINT P2 PRIMARY KEY (ID);
CREATE TEMPORARY TABLE gtt (
    id decimal(65,30)
);
CREATE UNIQUE INDEX IX9 ON OBS.EXPORTED (ID, NM DESC);
INSERT INTO region VALUES (5, 'a');
INSERT INTO region VALUES (6, 'b');
-- RC0603 by hand: Code is not translated: a block of code, which is not written for this target from this source
-- BEGIN
--  DBMS_OUTPUT.PUT_LINE('x');
-- END;
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
-- 48:7: RC0110 check: Number without precision is bounded: region_id: number without precision as decimal(65,30)
-- 56:1: RC0609 adapted: Said in other words: the key makes the index reg_id_pk itself
-- 61:1: RC0502 adapted: Storage clauses left out: ORGANIZATION INDEX
-- 65:7: RC0110 check: Number without precision is bounded: region_id: number without precision as decimal(65,30)
-- 99:7: RC0119 check: Numbers may lose digits: fl: float of up to 38 digits as a floating-point number of 15
-- 99:7: RC0116 check: NaN and infinity are refused: fl: double
-- 100:7: RC0116 check: NaN and infinity are refused: bf: double
-- 101:7: RC0114 check: Instant becomes date and time in UTC: ts: datetime(6) in UTC
-- 102:7: RC0111 check: Type without counterpart crosses as text or bytes: dur: interval year to month as longtext
-- 107:7: RC0111 check: Type without counterpart crosses as text or bytes: bfi: bfile as longtext
-- 110:7: RC0111 check: Type without counterpart crosses as text or bytes: geo: mdsys.sdo_geometry as longtext
-- 111:7: RC0111 check: Type without counterpart crosses as text or bytes: x: xmltype as longtext
-- 112:7: RC0111 check: Type without counterpart crosses as text or bytes: a: sys.anydata as longtext
-- 122:7: RC0627 check: Said in other words, with a difference: name the columns of site that are meant
-- 135:18: RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- 140:52: RC0609 adapted: Said in other words: the date that the mask reads: 2003-06-17
-- 141:34: RC0606 check: Function is not in the dictionary: TO_DATE with these 3 argument(s)
-- 143:1: RC0602 by hand: No counterpart on the target: an interval as a value
-- 144:18: RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- 146:1: RC0502 adapted: Storage clauses left out: NOLOGGING
-- 146:1: RC0502 adapted: Storage clauses left out: COMPUTE STATISTICS
-- 146:1: RC0502 adapted: Storage clauses left out: TABLESPACE
-- 146:1: RC0502 adapted: Storage clauses left out: &tbs PARALLEL 4
-- 147:1: RC0502 adapted: Storage clauses left out: LOCAL
-- 147:1: RC0502 adapted: Storage clauses left out: NOLOGGING
-- 147:1: RC0502 adapted: Storage clauses left out: BITMAP
-- 148:1: RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- 149:1: RC0502 adapted: Storage clauses left out: REVERSE
-- 150:45: RC0602 by hand: No counterpart on the target: an index of another type
-- 153:1: RC0609 adapted: Said in other words: the whole definition of region_id
-- 48:7: RC0110 check: Number without precision is bounded: region_id: number without precision as decimal(65,30)
-- 158:4: RC0609 adapted: Said in other words: (+) as LEFT JOIN
-- 155:1: RC0626 check: Right in other words: WITH READ ONLY: grant nothing but SELECT on the view
-- 169:1: RC0603 by hand: Code is not translated: a procedure, which is not written for this target from this source
-- 179:1: RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- 185:1: RC0602 by hand: No counterpart on the target: ALTER TRIGGER
-- 187:6: RC0602 by hand: No counterpart on the target: a type of this kind
-- 193:6: RC0602 by hand: No counterpart on the target: a type of this kind
-- 196:5: RC0602 by hand: No counterpart on the target: a type of this kind
-- 198:36: RC0602 by hand: No counterpart on the target: a type of this kind
-- 207:7: RC0602 by hand: No counterpart on the target: a table within a table
-- 208:1: RC0502 adapted: Storage clauses left out: PCTFREE 5 NOLOGGING
-- 209:7: RC0110 check: Number without precision is bounded: prod_id: number without precision as decimal(65,30)
-- 214:42: RC0609 adapted: Said in other words: the date that the mask reads: 1996-01-01
-- 215:45: RC0609 adapted: Said in other words: the date that the mask reads: 1997-07-01
-- 208:1: RC0609 adapted: Said in other words: the partitions by RANGE (time_id)
-- 218:1: RC0602 by hand: No counterpart on the target: an external table
-- 230:1: RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
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
-- 263:3: RC0502 adapted: Storage clauses left out: USING INDEX
-- 263:3: RC0502 adapted: Storage clauses left out: PCTFREE 10
-- 263:3: RC0502 adapted: Storage clauses left out: INITRANS 2
-- 263:3: RC0502 adapted: Storage clauses left out: MAXTRANS 255
-- 263:3: RC0502 adapted: Storage clauses left out: COMPUTE STATISTICS
-- 263:3: RC0502 adapted: Storage clauses left out: STORAGE (INITIAL 65536 NEXT 1048576 MINEXTENTS 1 MAXEXTENTS 2147483645 PCTINCREASE 0 FREELISTS 1 FREELIST GROUPS 1 BUFFER_POOL DEFAULT FLASH_CACHE DEFAULT CELL_FLASH_CACHE DEFAULT)
-- 263:3: RC0502 adapted: Storage clauses left out: TABLESPACE "USERS"
-- 269:3: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 1:1: RC0609 adapted: Said in other words: a key for IDN, which is numbered, of OBS.EXPORTED
-- 281:1: RC0609 adapted: Said in other words: the whole definition of NM
-- 283:31: RC0502 adapted: Storage clauses left out: USING INDEX OBS.EXP_PK
-- 284:36: RC0110 check: Number without precision is bounded: id: number without precision as decimal(65,30)
-- 284:1: RC0627 check: Said in other words, with a difference: the table is there for all sessions on the source; on the target each session has to create its own
-- 285:1: RC0502 adapted: Storage clauses left out: PCTFREE 10
-- 285:1: RC0502 adapted: Storage clauses left out: INITRANS 2
-- 285:1: RC0502 adapted: Storage clauses left out: MAXTRANS 255
-- 285:1: RC0502 adapted: Storage clauses left out: COMPUTE STATISTICS
-- 285:1: RC0502 adapted: Storage clauses left out: TABLESPACE "USERS"
-- 288:1: RC0609 adapted: Said in other words: INSERT ALL as one INSERT for each table
-- 292:1: RC0603 by hand: Code is not translated: a block of code, which is not written for this target from this source
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
