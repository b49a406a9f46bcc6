-- to: postgresql mariadb
rem
rem Copyright notice of nobody
rem
rem NAME
rem   obs_main.sql - Main script for the OBS schema
rem
SET ECHO OFF
SET VERIFY OFF
SET FEEDBACK 1
SET NUMWIDTH 10
SET LINESIZE 80
SET TRIMSPOOL ON
SET TAB OFF
SET PAGESIZE 100

PROMPT 
PROMPT specify password for OBS as parameter 1:
DEFINE pass     = &1
PROMPT 
DEFINE tbs      = &2
SPOOL &log_path/obs_main.log

DROP USER obs CASCADE;

CREATE USER obs IDENTIFIED BY &pass;

ALTER USER obs DEFAULT TABLESPACE &tbs
              QUOTA UNLIMITED ON &tbs;
ALTER USER obs TEMPORARY TABLESPACE temp;
GRANT CREATE SESSION, CREATE VIEW, ALTER SESSION, CREATE SEQUENCE TO obs;
GRANT CREATE SYNONYM, CREATE DATABASE LINK, RESOURCE , UNLIMITED TABLESPACE TO obs;

CONNECT sys/&pass_sys@&connect_string AS SYSDBA;
GRANT execute ON sys.dbms_stats TO obs;

CONNECT obs/&pass@&connect_string
ALTER SESSION SET NLS_LANGUAGE=American;
ALTER SESSION SET NLS_TERRITORY=America;

@?/demo/schema/obs/obs_cre.sql
@@obs_popul
START obs_idx

Prompt ******  Creating REGION table ....

CREATE TABLE region
    ( region_id      NUMBER 
       CONSTRAINT  region_id_nn NOT NULL 
    , region_name    VARCHAR2(25) 
    );

CREATE UNIQUE INDEX reg_id_pk
ON region (region_id);

ALTER TABLE region
ADD ( CONSTRAINT reg_id_pk
       		 PRIMARY KEY (region_id)
    ) ;

CREATE TABLE country 
    ( country_id      CHAR(2) 
       CONSTRAINT  country_id_nn NOT NULL 
    , country_name    VARCHAR2(40) 
    , region_id       NUMBER 
    , CONSTRAINT     country_c_id_pk 
        	     PRIMARY KEY (country_id) 
    ) 
    ORGANIZATION INDEX; 

ALTER TABLE country
ADD ( CONSTRAINT countr_reg_fk
        	 FOREIGN KEY (region_id)
          	  REFERENCES region(region_id) 
    ) ;

CREATE SEQUENCE site_seq
 START WITH     3300
 INCREMENT BY   100
 MAXVALUE       9900
 NOCACHE
 NOCYCLE;

CREATE TABLE observer
    ( observer_id    NUMBER(6)
    , first_name     VARCHAR2(20 BYTE)
    , last_name      VARCHAR2(25 CHAR)
	 CONSTRAINT     obs_last_name_nn  NOT NULL
    , email          VARCHAR2(25)
	CONSTRAINT     obs_email_nn  NOT NULL
    , hire_date      DATE DEFAULT SYSDATE
	CONSTRAINT     obs_hire_date_nn  NOT NULL
    , job_id         VARCHAR2(10)
    , salary         NUMBER(8,2)
    , mark  NUMBER(2,2)
    , manager_id     NUMBER(6)
    , wide NUMBER(38)
    , neg NUMBER(5,-2)
    , fl FLOAT(126)
    , bf BINARY_DOUBLE
    , ts TIMESTAMP(6) WITH LOCAL TIME ZONE
    , dur INTERVAL YEAR(2) TO MONTH
    , lng LONG
    , lr LONG RAW
    , rid ROWID
    , urid UROWID(4000)
    , bfi BFILE
    , nc NVARCHAR2(10)
    , ncl NCLOB
    , geo MDSYS.SDO_GEOMETRY
    , x XMLTYPE
    , a SYS.ANYDATA
    , CONSTRAINT     obs_salary_min
                     CHECK (salary > 0) 
    , CONSTRAINT     obs_email_uk
                     UNIQUE (email)
    ) ;

ALTER TABLE observer
ADD ( CONSTRAINT     obs_obs_id_pk
                     PRIMARY KEY (observer_id)
    , CONSTRAINT     obs_site_fk
                     FOREIGN KEY (site_id)
                      REFERENCES site
    , CONSTRAINT     obs_manager_fk
                     FOREIGN KEY (manager_id)
                      REFERENCES observer
    ) ;

ALTER TABLE site
ADD ( CONSTRAINT dept_mgr_fk
      		 FOREIGN KEY (manager_id)
      		  REFERENCES observer (observer_id)
    ) ;
ALTER TABLE site DISABLE CONSTRAINT dept_mgr_fk;
INSERT INTO region VALUES 
        ( 1
        , 'Europe' 
        );
INSERT INTO observer VALUES ( 100, 'A', 'B', 'SK', TO_DATE('17-06-2003', 'dd-MM-yyyy'), 'AD', 24000, NULL, NULL, 90);
INSERT INTO observer (d) VALUES (TO_DATE('17-JUN-1987', 'DD-MON-YYYY', 'NLS_DATE_LANGUAGE = American'));
INSERT INTO observer (d) VALUES ('17-JUN-87');
INSERT INTO observer (d, ts, dur) VALUES (DATE '1998-01-01', TIMESTAMP '1998-01-01 10:00:00', INTERVAL '1-2' YEAR TO MONTH);
ALTER TABLE site ENABLE CONSTRAINT dept_mgr_fk;
COMMIT;
CREATE INDEX obs_name_ix ON observer (last_name, first_name) NOLOGGING COMPUTE STATISTICS TABLESPACE &tbs PARALLEL 4;
CREATE BITMAP INDEX obs_bix ON observer (job_id) LOCAL NOLOGGING;
CREATE INDEX obs_up ON observer (UPPER(last_name), NLSSORT(first_name, 'NLS_SORT=GERMAN'));
CREATE INDEX obs_rev ON observer (email) REVERSE;
CREATE INDEX sup_text_idx ON observer (lng) INDEXTYPE IS ctxsys.context PARAMETERS('nopopulate');
COMMENT ON TABLE region
IS 'Regions table that contains region numbers and names. Contains 4 rows; references with the Countries table.';
COMMENT ON COLUMN region.region_id
IS 'Primary key of regions table.';
CREATE OR REPLACE VIEW obs_details_view
  (observer_id,
   job_id, region_name)
AS SELECT
  e.observer_id, 
  e.job_id, 
  r.region_name
FROM
  observer e,
  site d,
  region r
WHERE e.site_id = d.site_id
  AND d.region_id = r.region_id(+)
WITH READ ONLY;
CREATE OR REPLACE PROCEDURE secure_dml
IS
BEGIN
  IF TO_CHAR (SYSDATE, 'HH24:MI') NOT BETWEEN '08:00' AND '18:00'
        OR TO_CHAR (SYSDATE, 'DY') IN ('SAT', 'SUN') THEN
	RAISE_APPLICATION_ERROR (-20205, 
		'You may only make changes during normal office hours');
  END IF;
END secure_dml;
/
CREATE OR REPLACE TRIGGER secure_obs
  BEFORE INSERT OR UPDATE OR DELETE ON observer
BEGIN
  secure_dml;
END secure_obs;
/
ALTER TRIGGER secure_obs DISABLE;
CREATE OR REPLACE TYPE cust_address_typ
  AS OBJECT
    ( street_address     VARCHAR2(40)
    , postal_code        VARCHAR2(10)
    );
/
CREATE TYPE phone_list_typ
  AS VARRAY(5) OF VARCHAR2(25);
/
CREATE TYPE inventory_list_typ
 AS TABLE OF cust_address_typ;
/
CREATE OR REPLACE TYPE catalog_typ UNDER composite_typ
( getCatalogName RETURN VARCHAR2, OVERRIDING MEMBER FUNCTION category_describe RETURN VARCHAR2)
/
CREATE TABLE customers
    ( customer_id        NUMBER(6)     
    , cust_address       cust_address_typ
    , phone_numbers      phone_list_typ
    , CONSTRAINT         customer_credit_limit_max
                         CHECK (credit_limit <= 5000)
    ) NESTED TABLE subcategory_ref_list STORE AS subcategory_ref_list_nestedtab ;
CREATE TABLE sales
    ( prod_id        NUMBER NOT NULL
    , time_id        DATE NOT NULL
    , amount_sold NUMBER(10,2))
  PCTFREE 5 NOLOGGING
  PARTITION BY RANGE (time_id)
 (PARTITION sales_1995 VALUES LESS THAN (TO_DATE('01-JAN-1996','DD-MON-YYYY')),
  PARTITION sales_h1_1997 VALUES LESS THAN (TO_DATE('01-JUL-1997','DD-MON-YYYY')) TABLESPACE &tbs,
  PARTITION sales_max VALUES LESS THAN (MAXVALUE));
CREATE TABLE ext_tab (id NUMBER, nm VARCHAR2(10))
ORGANIZATION EXTERNAL (
  TYPE ORACLE_LOADER
  DEFAULT DIRECTORY data_file_dir
  ACCESS PARAMETERS
  ( RECORDS DELIMITED BY NEWLINE CHARACTERSET US7ASCII
    TERRITORY AMERICA
    BADFILE log_file_dir:'ext_1v3.bad'
    FIELDS TERMINATED BY "|" OPTIONALLY ENCLOSED BY '^' LDRTRIM
  )
  LOCATION ('sale1v3.dat')
)
REJECT LIMIT 100;
CREATE MATERIALIZED VIEW cal_month_sales_mv
  PCTFREE 5
  BUILD IMMEDIATE
  REFRESH FORCE
  ENABLE QUERY REWRITE
  AS
  SELECT   t.calendar_month_desc
  ,        SUM(s.amount_sold) AS dollars
  FROM     sales s, times t
  WHERE    s.time_id = t.time_id
  GROUP BY t.calendar_month_desc;
CREATE MATERIALIZED VIEW LOG ON sales WITH ROWID, SEQUENCE (prod_id) INCLUDING NEW VALUES;
CREATE DIMENSION customers_dim 
  LEVEL customer IS (customers.cust_id)
  LEVEL city IS (customers.cust_city_id)
  HIERARCHY geog_rollup (customer CHILD OF city)
  ATTRIBUTE customer DETERMINES (cust_first_name);
EXECUTE dbms_stats.gather_schema_stats( -
        ownname          => 'OBS'                 , -
        estimate_percent => DBMS_STATS.AUTO_SAMPLE_SIZE           , -
        granularity      => 'ALL'                      );
CREATE DIRECTORY media_dir AS '/data/media';
CREATE PUBLIC DATABASE LINK dbl CONNECT TO nim IDENTIFIED BY hush USING 'remote';
CREATE OR REPLACE PUBLIC SYNONYM observer FOR obs.observer;
CREATE CONTEXT ctx USING pkg;
CREATE CLUSTER emp_dept (deptno NUMBER(3)) SIZE 600 TABLESPACE users STORAGE (INITIAL 200K NEXT 300K MINEXTENTS 2 PCTINCREASE 33);
CREATE INDEX emp_dept_index ON CLUSTER emp_dept TABLESPACE users;
CREATE TABLE "OBS"."EXPORTED" 
   (	"ID" NUMBER(10,0) NOT NULL ENABLE, 
	"NM" VARCHAR2(200 BYTE) DEFAULT 'n/a', 
	"CREATED" TIMESTAMP (6) DEFAULT systimestamp NOT NULL ENABLE, 
	"G" GENERATED ALWAYS AS ("ID"*2) VIRTUAL, 
	"IDN" NUMBER GENERATED ALWAYS AS IDENTITY MINVALUE 1 MAXVALUE 9999999999999999999999999999 INCREMENT BY 1 START WITH 1 CACHE 20 NOORDER  NOCYCLE  NOKEEP  NOSCALE  NOT NULL ENABLE, 
	 CONSTRAINT "EXP_PK" PRIMARY KEY ("ID")
  USING INDEX PCTFREE 10 INITRANS 2 MAXTRANS 255 COMPUTE STATISTICS 
  STORAGE(INITIAL 65536 NEXT 1048576 MINEXTENTS 1 MAXEXTENTS 2147483645
  PCTINCREASE 0 FREELISTS 1 FREELIST GROUPS 1
  BUFFER_POOL DEFAULT FLASH_CACHE DEFAULT CELL_FLASH_CACHE DEFAULT)
  TABLESPACE "USERS"  ENABLE, 
	 CONSTRAINT "EXP_CK" CHECK ("NM" IS NOT NULL) ENABLE NOVALIDATE,
	 SUPPLEMENTAL LOG DATA (ALL) COLUMNS
   ) SEGMENT CREATION IMMEDIATE 
  PCTFREE 10 PCTUSED 40 INITRANS 1 MAXTRANS 255 
 NOCOMPRESS LOGGING
  STORAGE(INITIAL 65536 NEXT 1048576 MINEXTENTS 1 MAXEXTENTS 2147483645
  PCTINCREASE 0 FREELISTS 1 FREELIST GROUPS 1
  BUFFER_POOL DEFAULT FLASH_CACHE DEFAULT CELL_FLASH_CACHE DEFAULT)
  TABLESPACE "USERS" 
 LOB ("NM") STORE AS BASICFILE (
  TABLESPACE "USERS" ENABLE STORAGE IN ROW CHUNK 8192 RETENTION 
  NOCACHE LOGGING ) ;
ALTER TABLE "OBS"."EXPORTED" MODIFY ("NM" NOT NULL ENABLE);
ALTER TABLE "OBS"."EXPORTED" ADD CONSTRAINT "FK1" FOREIGN KEY ("ID") REFERENCES "OBS"."SITE" ("ID") ON DELETE CASCADE ENABLE;
ALTER TABLE "OBS"."SITE2" ADD CONSTRAINT "P2" PRIMARY KEY ("ID") USING INDEX "OBS"."EXP_PK"  ENABLE;
CREATE GLOBAL TEMPORARY TABLE gtt (id NUMBER) ON COMMIT PRESERVE ROWS;
CREATE UNIQUE INDEX "OBS"."IX9" ON "OBS"."EXPORTED" ("ID", "NM" DESC) 
  PCTFREE 10 INITRANS 2 MAXTRANS 255 COMPUTE STATISTICS 
  TABLESPACE "USERS" ;
INSERT ALL
 INTO region VALUES (5, 'a')
 INTO region VALUES (6, 'b')
SELECT * FROM dual;
BEGIN
 DBMS_OUTPUT.PUT_LINE('x');
END;
/
COLUMN x FORMAT a20
TTITLE OFF
WHENEVER SQLERROR EXIT SQL.SQLCODE
VARIABLE n NUMBER
EXEC :n := 5
PRINT n
UNDEFINE pass
HOST ls
! ls
SHOW ERRORS
EXIT
