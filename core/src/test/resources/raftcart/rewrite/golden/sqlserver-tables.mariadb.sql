-- to: postgresql mariadb
CREATE TABLE Dome (
    DomeId int AUTO_INCREMENT NOT NULL,
    Name varchar(40) NOT NULL,
    Opened datetime(3) DEFAULT CURRENT_TIMESTAMP(3) NOT NULL,
    Height decimal(5,2),
    Active tinyint(1) DEFAULT TRUE NOT NULL,
    Area decimal(38,10) GENERATED ALWAYS AS (Height * Height) STORED,
    `Key` uuid DEFAULT (UUID()) NOT NULL,
    Remark longtext,
    Ver longblob,
    CONSTRAINT PK_Dome PRIMARY KEY (DomeId),
    CONSTRAINT UQ_Dome_Name UNIQUE (Name),
    CONSTRAINT CK_Dome_Height CHECK (Height >= 0 AND Height < 99.5)
);
ALTER TABLE Dome AUTO_INCREMENT = 10;
CREATE TABLE Lamp (
    DomeId int NOT NULL,
    LampNo smallint NOT NULL,
    Kind char(2) DEFAULT 'LE' NOT NULL,
    Watts double,
    Price decimal(19,4),
    Bought datetime(3),
    Seen datetime(6),
    Flags tinyint(4) unsigned DEFAULT 0 NOT NULL,
    Photo longblob,
    CONSTRAINT PK_Lamp PRIMARY KEY (DomeId, LampNo),
    CONSTRAINT FK_Lamp_Dome FOREIGN KEY (DomeId) REFERENCES Dome (DomeId) ON DELETE CASCADE
);
CREATE INDEX IX_Lamp_Kind ON Lamp (Kind);
ALTER TABLE Lamp ADD CONSTRAINT CK_Lamp_Watts CHECK (Watts > 0 OR Watts IS NULL);
CREATE UNIQUE INDEX UX_Lamp_Bought ON Lamp (Bought);
CREATE INDEX IX_Lamp_Price ON Lamp (Price DESC);
ALTER TABLE Lamp ADD COLUMN Remark varchar(200);
ALTER TABLE Lamp ALTER COLUMN Remark SET DEFAULT 'none';
ALTER TABLE Lamp ADD COLUMN Extra int;
ALTER TABLE Lamp MODIFY COLUMN Remark varchar(400) DEFAULT 'none' NOT NULL;
ALTER TABLE Lamp ALTER COLUMN Remark DROP DEFAULT;
ALTER TABLE Lamp DROP COLUMN Extra;
ALTER TABLE Lamp RENAME COLUMN Remark TO Note;
ALTER TABLE Lamp RENAME TO Lamps;
DROP INDEX IX_Lamp_Price ON Lamps;
CREATE TEMPORARY TABLE `#tally` (
    n int,
    label varchar(10)
);
CREATE TABLE DomeCopy AS
SELECT DomeId, Name FROM Dome WHERE 1 = 0;
CREATE SEQUENCE ShiftSeq START WITH 1 INCREMENT BY 2 MINVALUE 1 MAXVALUE 999999;
CREATE OR REPLACE VIEW LampView AS
SELECT DomeId, COUNT(*) AS lamps FROM Lamps GROUP BY DomeId;
CREATE TABLE Filter (
    FilterId uuid DEFAULT (UUID()) NOT NULL PRIMARY KEY,
    Band varchar(3) NOT NULL,
    Width float,
    Taken date DEFAULT (CAST(CURRENT_TIMESTAMP(6) AS date)),
    Started time(0)
);
TRUNCATE TABLE Filter;
DROP VIEW IF EXISTS LampView;
DROP TABLE IF EXISTS Filter;
DROP TABLE IF EXISTS DomeCopy;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: ON [PRIMARY] TEXTIMAGE_ON [PRIMARY]
-- 3:3: RC0627 check: Said in other words, with a difference: the target numbers DomeId from 1 and by 1, the source otherwise
-- 3:40: RC0502 adapted: Storage clauses left out: CLUSTERED
-- 4:32: RC0502 adapted: Storage clauses left out: NONCLUSTERED
-- 7:35: RC0614 adapted: Condition made explicit: 1 for a truth value
-- 9:43: RC0608 adapted: Function spelled otherwise: NEWID means new_uuid
-- 11:3: RC0111 check: Type without counterpart crosses as text or bytes: Ver: rowversion as longblob
-- 11:3: RC0627 check: Said in other words, with a difference: Ver is NULL until something gives it a value, as the source did at every change
-- 2:1: RC0409 check: Accents do not count on the target: Name, Remark
-- 2:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 21:3: RC0119 check: Numbers may lose digits: Seen: datetime(6): fractions of a second lose 1 digit(s)
-- 21:3: RC0114 check: Instant becomes date and time in UTC: Seen: datetime(6) in UTC
-- 24:3: RC0502 adapted: Storage clauses left out: CLUSTERED
-- 24:3: RC0502 adapted: Storage clauses left out: WITH (FILLFACTOR = 80)
-- 24:3: RC0502 adapted: Storage clauses left out: ON [PRIMARY]
-- 26:3: RC0502 adapted: Storage clauses left out: NONCLUSTERED
-- 14:1: RC0409 check: Accents do not count on the target: Kind
-- 14:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 29:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 31:1: RC0502 adapted: Storage clauses left out: CHECK CONSTRAINT CK_Lamp_Watts
-- 33:1: RC0502 adapted: Storage clauses left out: NONCLUSTERED
-- 33:1: RC0609 adapted: Said in other words: rows with NULL in the key are no duplicates of each other, so the condition is not needed
-- 33:1: RC0502 adapted: Storage clauses left out: INCLUDE
-- 33:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 35:1: RC0502 adapted: Storage clauses left out: WITH (ONLINE = ON , DATA_COMPRESSION = PAGE)
-- 35:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 37:1: RC0609 adapted: Said in other words: the rows that are there stay NULL, as on the source
-- 37:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 39:1: RC0609 adapted: Said in other words: the whole definition of Remark
-- 39:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 41:1: RC0609 adapted: Said in other words: DF_Lamp_Remark is the name of a column's option
-- 41:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 43:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 45:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 47:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 49:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 51:1: RC0409 check: Accents do not count on the target: label
-- 53:1: RC0609 adapted: Said in other words: SELECT INTO as CREATE TABLE AS
-- 53:1: RC0627 check: Said in other words, with a difference: the columns of the new table take NULL, and none is numbered; on the source they are as in the old one
-- 53:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 55:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 57:72: RC0608 adapted: Function spelled otherwise: COUNT_BIG means count_rows
-- 57:1: RC0502 adapted: Storage clauses left out: WITH SCHEMABINDING
-- 57:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 59:1: RC0609 adapted: Said in other words: dbo.Band: its columns get the type and the checks themselves
-- 61:26: RC0502 adapted: Storage clauses left out: FilterId: ROWGUIDCOL
-- 61:80: RC0608 adapted: Function spelled otherwise: NEWSEQUENTIALID means new_uuid
-- 61:1: RC0409 check: Accents do not count on the target: Band
-- 61:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 63:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 65:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 67:1: RC0609 adapted: Said in other words: the schema dbo is left out
