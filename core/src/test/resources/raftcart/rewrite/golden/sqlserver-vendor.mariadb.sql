-- to: postgresql mariadb
/****** Object:  Database [Observatory]    Script Date: 2/3/2021 10:11:12 AM ******/
USE master;
DROP SCHEMA IF EXISTS Observatory;
CREATE DATABASE Observatory;
USE Observatory;
CREATE DATABASE Survey;
CREATE DATABASE IF NOT EXISTS Plan;
-- RC0602 by hand: No counterpart on the target: xml
-- CREATE XML SCHEMA COLLECTION [Survey].[LogSchema] AS N'<xsd:schema xmlns:xsd="http://www.w3.org/2001/XMLSchema"/>'
CREATE TABLE IF NOT EXISTS Survey.Star (
    StarID int AUTO_INCREMENT NOT NULL,
    Name varchar(15) NOT NULL,
    Visible tinyint(1) NOT NULL,
    Mag decimal(9,4),
    Ra double NOT NULL,
    `Dec` float,
    Photo longblob,
    Notes longtext,
    Log longtext,
    rowguid uuid NOT NULL,
    ModifiedDate datetime(3) NOT NULL,
    Twice decimal(38,10) GENERATED ALWAYS AS (Mag * 2) STORED,
    CONSTRAINT PK_Star_StarID PRIMARY KEY (StarID)
);
CREATE UNIQUE INDEX AK_Star_Name ON Survey.Star (Name);
CREATE INDEX IF NOT EXISTS IX_Star_Mag ON Survey.Star (Mag DESC, Ra);
ALTER TABLE Survey.Star ALTER COLUMN rowguid SET DEFAULT UUID();
ALTER TABLE Survey.Star ALTER COLUMN ModifiedDate SET DEFAULT CURRENT_TIMESTAMP(3);
ALTER TABLE Survey.Star ADD CONSTRAINT FK_Star_Site_SiteID FOREIGN KEY (SiteID) REFERENCES Survey.Site (SiteID) ON DELETE SET NULL ON UPDATE CASCADE;
ALTER TABLE Survey.Star ADD CONSTRAINT FK_Star_Old FOREIGN KEY (OldID) REFERENCES Survey.Old (OldID);
ALTER TABLE Survey.Star ADD CONSTRAINT CK_Star_Mag CHECK (Mag >= 0.00 AND UPPER(Name) <> 'X' OR Mag IS NULL);
ALTER TABLE Survey.Star MODIFY COLUMN StarID int AUTO_INCREMENT NOT NULL COMMENT 'Primary key for Star records.';
ALTER TABLE Survey.Star COMMENT = 'Stars that we''ve seen.';
-- RC0602 by hand: No counterpart on the target: a method of XML
-- CREATE VIEW [Survey].[vBright] WITH SCHEMABINDING
-- AS 
-- SELECT s.[StarID], s.[Name], COUNT_BIG(*) AS [N], [Log].value('(/a/b)[1]', 'nvarchar(30)') AS lv
-- FROM [Survey].[Star] s
-- CROSS APPLY s.[Log].nodes(N'/a') A(ref)
-- GROUP BY s.StarID, s.Name
CREATE UNIQUE INDEX IX_vBright ON Survey.vBright (StarID);
-- RC0602 by hand: No counterpart on the target: an index of kind FULLTEXT CATALOG
-- CREATE FULLTEXT CATALOG [ObsFullText] AS DEFAULT
-- RC0602 by hand: No counterpart on the target: a full-text index
-- CREATE FULLTEXT INDEX ON [Survey].[Star] ([Notes] LANGUAGE 1033) KEY INDEX [PK_Star_StarID]
-- RC0602 by hand: No counterpart on the target: an index of kind PRIMARY XML
-- CREATE PRIMARY XML INDEX [PXML_Star_Log] ON [Survey].[Star] ([Log])
-- RC0602 by hand: No counterpart on the target: xml
-- CREATE XML INDEX [XMLPATH_Star] ON [Survey].[Star] ([Log]) USING XML INDEX [PXML_Star_Log] FOR PATH
-- RC0602 by hand: No counterpart on the target: a spatial index on a column that holds no geometry there
-- CREATE SPATIAL INDEX [sp] ON [Survey].[Star] ([Loc]) USING GEOGRAPHY_GRID
-- RC0602 by hand: No counterpart on the target: statistics
-- CREATE STATISTICS [st] ON [Survey].[Star]([Mag], [Ra])
-- RC0603 by hand: Code is not translated: variables
-- DECLARE @n int
-- RC0602 by hand: No counterpart on the target: assignment to a variable
-- SET @n = 5
-- RC0602 by hand: No counterpart on the target: a SELECT that assigns variables
-- SELECT @n = COUNT(*) FROM [Survey].[Star]
-- RC0602 by hand: No counterpart on the target: BULK
-- BULK INSERT [Survey].[Star] FROM 'C:\x.csv'
-- WITH (
--     CHECK_CONSTRAINTS,
--     CODEPAGE='ACP',
--     FIELDTERMINATOR='\t',
--     ROWTERMINATOR='\n'
-- )
INSERT INTO Survey.Star (StarID, Name, Visible, ModifiedDate)
VALUES (1, 'Vega', TRUE, TIMESTAMP '2008-04-30 00:00:00.000');
INSERT INTO Survey.Star (StarID, Name, Visible, ModifiedDate, Photo)
VALUES (2, 'Altair', FALSE, TIMESTAMP '2008-01-24 00:00:00.000', X'0A0B');
ALTER TABLE Site ADD CONSTRAINT PK_Site PRIMARY KEY (SiteID);
ALTER TABLE Site ADD CONSTRAINT UQ_x UNIQUE (Code);
-- RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- ALTER TABLE [Site] NOCHECK CONSTRAINT ALL
CREATE TEMPORARY TABLE `#tmp` (
    id int PRIMARY KEY,
    v varchar(10) DEFAULT 'x'
);
CREATE TABLE Hist (
    id int NOT NULL PRIMARY KEY,
    v decimal(19,4),
    ValidFrom datetime(6) DEFAULT (UTC_TIMESTAMP(6)) NOT NULL,
    ValidTo datetime(6) DEFAULT TIMESTAMP '9999-12-31 00:00:00' NOT NULL
);
-- RC0602 by hand: No counterpart on the target: a set of columns
-- CREATE TABLE dbo.Sparse1 (id int NOT NULL, a int SPARSE NULL, cs xml COLUMN_SET FOR ALL_SPARSE_COLUMNS, INDEX ix1 NONCLUSTERED (id, a), secret nvarchar(11) MASKED WITH (FUNCTION = 'partial(1,"x",1)') NULL)
CREATE SEQUENCE Seq1 START WITH 1000 INCREMENT BY 1 MINVALUE -2147483648 MAXVALUE 2147483647;
CREATE VIEW MyStar AS
SELECT * FROM Survey.Star;
-- RC0603 by hand: Code is not translated: trigger: a trigger INSTEAD OF a change, for all its rows at once
-- CREATE TRIGGER [Survey].[dStar] ON [Survey].[Star] INSTEAD OF DELETE NOT FOR REPLICATION AS
-- BEGIN
--     DECLARE @c int;
--     SET @c = @@ROWCOUNT;
--     IF @c = 0 RETURN;
-- END;
-- RC0602 by hand: No counterpart on the target: DISABLE
-- DISABLE TRIGGER [dStar] ON [Survey].[Star]
-- RC0602 by hand: No counterpart on the target: user
-- CREATE USER [reader] FOR LOGIN [reader] WITH DEFAULT_SCHEMA=[dbo]
-- RC0602 by hand: No counterpart on the target: sp_addrolemember, a procedure of the engine
-- EXEC sp_addrolemember N'db_datareader', N'reader'
-- RC0602 by hand: No counterpart on the target: ALTER ROLE
-- ALTER ROLE [db_owner] ADD MEMBER [reader]
GRANT SELECT ON Survey.Star TO reader;
-- RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- GRANT EXECUTE TO [reader]
-- RC0602 by hand: No counterpart on the target: DENY
-- DENY DELETE ON OBJECT::[Survey].[Star] TO [reader]
-- RC0602 by hand: No counterpart on the target: sp_bindefault, a procedure of the engine
-- EXEC sp_bindefault 'd1', 'Star.Mag'
-- RC0602 by hand: No counterpart on the target: default
-- CREATE DEFAULT [d1] AS 0
-- RC0603 by hand: Code is not translated: rule
-- CREATE RULE [r1] AS @v > 0
-- RC0602 by hand: No counterpart on the target: partition
-- CREATE PARTITION FUNCTION [pf](datetime) AS RANGE RIGHT FOR VALUES ('2001-01-01', '2002-01-01')
-- RC0602 by hand: No counterpart on the target: partition
-- CREATE PARTITION SCHEME [ps] AS PARTITION [pf] ALL TO ([PRIMARY])
CREATE TABLE Part (
    id int,
    d datetime(3)
);
-- RC0602 by hand: No counterpart on the target: DROP FUNCTION
-- DROP FUNCTION dbo.GetName
CREATE TABLE IF NOT EXISTS T1 (
    id int
);
ALTER TABLE T1 ADD COLUMN IF NOT EXISTS x int;
INSERT INTO T1 (id) SELECT 1 WHERE NOT EXISTS (SELECT 1 FROM T1);

-- findings
-- 8:1: RC0502 adapted: Storage clauses left out: CONTAINMENT = NONE ON PRIMARY ( NAME = N'Observatory' , FILENAME = N'C:\DATA\Observatory.mdf' , SIZE = 8192 KB , MAXSIZE = UNLIMITED , FILEGROWTH = 65536 KB ) LOG ON ( NAME = N'Observatory_log' , FILENAME = N'C:\DATA\Observatory_log.ldf' , SIZE = 8192 KB , MAXSIZE = 2048 GB , FILEGROWTH = 65536 KB )
-- 15:1: RC0604 adapted: Client command left out: ALTER DATABASE SET COMPATIBILITY_LEVEL = 140
-- 19:1: RC0604 adapted: Client command left out: EXEC Observatory.dbo.sp_fulltext_database
-- 22:1: RC0604 adapted: Client command left out: ALTER DATABASE SET ANSI_NULL_DEFAULT OFF
-- 26:1: RC0604 adapted: Client command left out: SET ANSI_NULLS ON
-- 28:1: RC0604 adapted: Client command left out: SET QUOTED_IDENTIFIER ON
-- 30:1: RC0502 adapted: Storage clauses left out: AUTHORIZATION [dbo]
-- 33:24: RC0502 adapted: Storage clauses left out: AUTHORIZATION [dbo]
-- 35:1: RC0609 adapted: Said in other words: dbo.AccountNumber: its columns get the type and the checks themselves
-- 37:1: RC0609 adapted: Said in other words: dbo.Flag: its columns get the type and the checks themselves
-- 39:1: RC0602 by hand: No counterpart on the target: xml
-- 43:1: RC0502 adapted: Storage clauses left out: ON [PRIMARY] TEXTIMAGE_ON [PRIMARY]
-- 44:2: RC0502 adapted: Storage clauses left out: StarID: REPLICATION
-- 52:2: RC0627 check: Said in other words, with a difference: Log: left out: documents follow a schema
-- 52:2: RC0111 check: Type without counterpart crosses as text or bytes: Log: xml as longtext
-- 53:2: RC0502 adapted: Storage clauses left out: rowguid: ROWGUIDCOL
-- 55:2: RC0627 check: Said in other words, with a difference: the computed column Full is left out, since it reads the numbered one
-- 56:2: RC0627 check: Said in other words, with a difference: NOT NULL of the computed column Twice is left out
-- 57:2: RC0502 adapted: Storage clauses left out: CLUSTERED
-- 57:2: RC0502 adapted: Storage clauses left out: WITH (PAD_INDEX = OFF , STATISTICS_NORECOMPUTE = OFF , IGNORE_DUP_KEY = OFF , ALLOW_ROW_LOCKS = ON , ALLOW_PAGE_LOCKS = ON)
-- 57:2: RC0502 adapted: Storage clauses left out: ON [PRIMARY]
-- 43:1: RC0409 check: Accents do not count on the target: Name, Notes
-- 64:1: RC0604 adapted: Client command left out: SET ANSI_PADDING ON
-- 66:1: RC0502 adapted: Storage clauses left out: NONCLUSTERED
-- 66:1: RC0502 adapted: Storage clauses left out: WITH (PAD_INDEX = OFF , STATISTICS_NORECOMPUTE = OFF , SORT_IN_TEMPDB = OFF , DROP_EXISTING = OFF , ONLINE = OFF , ALLOW_ROW_LOCKS = ON , ALLOW_PAGE_LOCKS = ON)
-- 66:1: RC0502 adapted: Storage clauses left out: ON [PRIMARY]
-- 72:1: RC0502 adapted: Storage clauses left out: NONCLUSTERED
-- 72:1: RC0407 check: Partial index covers all rows: all rows are indexed
-- 72:1: RC0502 adapted: Storage clauses left out: INCLUDE
-- 74:73: RC0608 adapted: Function spelled otherwise: newid means new_uuid
-- 84:1: RC0627 check: Said in other words, with a difference: the condition on the engine's catalog is left out; the statement runs in any case
-- 84:1: RC0627 check: Said in other words, with a difference: left out: NOT VALID, WITH NOCHECK
-- 87:1: RC0502 adapted: Storage clauses left out: CHECK CONSTRAINT [FK_Star_Site_SiteID]
-- 91:46: RC0627 check: Said in other words, with a difference: a check that reads the time of day is left out
-- 93:1: RC0609 adapted: Said in other words: the whole definition of StarID
-- 97:1: RC0502 adapted: Storage clauses left out: the comment on Survey.vBright
-- 99:1: RC0604 adapted: Client command left out: EXEC sp_addextendedproperty
-- 103:62: RC0602 by hand: No counterpart on the target: a method of XML
-- 108:1: RC0502 adapted: Storage clauses left out: CLUSTERED
-- 108:1: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 110:17: RC0602 by hand: No counterpart on the target: an index of kind FULLTEXT CATALOG
-- 112:42: RC0602 by hand: No counterpart on the target: a full-text index
-- 114:16: RC0602 by hand: No counterpart on the target: an index of kind PRIMARY XML
-- 116:1: RC0602 by hand: No counterpart on the target: xml
-- 118:1: RC0602 by hand: No counterpart on the target: a spatial index on a column that holds no geometry there
-- 120:1: RC0602 by hand: No counterpart on the target: statistics
-- 122:1: RC0603 by hand: Code is not translated: variables
-- 123:1: RC0602 by hand: No counterpart on the target: assignment to a variable
-- 124:8: RC0602 by hand: No counterpart on the target: a SELECT that assigns variables
-- 125:1: RC0604 adapted: Client command left out: PRINT 'x'
-- 127:1: RC0602 by hand: No counterpart on the target: BULK
-- 135:1: RC0604 adapted: Client command left out: SET IDENTITY_INSERT [Survey] . [Star] ON
-- 136:90: RC0614 adapted: Condition made explicit: 1 for a truth value
-- 137:101: RC0614 adapted: Condition made explicit: 0 for a truth value
-- 138:1: RC0604 adapted: Client command left out: SET IDENTITY_INSERT [Survey] . [Star] OFF
-- 140:30: RC0502 adapted: Storage clauses left out: NONCLUSTERED
-- 140:88: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 140:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 142:20: RC0602 by hand: No counterpart on the target: switching a constraint or trigger on or off
-- 144:1: RC0409 check: Accents do not count on the target: v
-- 146:1: RC0627 check: Said in other words, with a difference: left out: PERIOD FOR SYSTEM_TIME (ValidFrom , ValidTo)
-- 146:1: RC0627 check: Said in other words, with a difference: left out: WITH (SYSTEM_VERSIONING = ON ( HISTORY_TABLE = dbo . HistOld))
-- 146:40: RC0502 adapted: Storage clauses left out: CLUSTERED
-- 146:72: RC0627 check: Said in other words, with a difference: ValidFrom: left out: GENERATED ALWAYS AS ROW START
-- 146:72: RC0502 adapted: Storage clauses left out: ValidFrom: HIDDEN
-- 146:72: RC0119 check: Numbers may lose digits: ValidFrom: datetime(6): fractions of a second lose 1 digit(s)
-- 146:139: RC0627 check: Said in other words, with a difference: ValidTo: left out: GENERATED ALWAYS AS ROW END
-- 146:139: RC0502 adapted: Storage clauses left out: ValidTo: HIDDEN
-- 146:139: RC0119 check: Numbers may lose digits: ValidTo: datetime(6): fractions of a second lose 1 digit(s)
-- 146:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 148:70: RC0602 by hand: No counterpart on the target: a set of columns
-- 150:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 152:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 152:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 154:52: RC0603 by hand: Code is not translated: trigger: a trigger INSTEAD OF a change, for all its rows at once
-- 161:1: RC0602 by hand: No counterpart on the target: DISABLE
-- 163:1: RC0502 adapted: Storage clauses left out: ENABLE TRIGGER [dStar]
-- 165:1: RC0602 by hand: No counterpart on the target: user
-- 167:1: RC0602 by hand: No counterpart on the target: sp_addrolemember, a procedure of the engine
-- 169:1: RC0602 by hand: No counterpart on the target: ALTER ROLE
-- 173:1: RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- 175:1: RC0602 by hand: No counterpart on the target: DENY
-- 177:1: RC0602 by hand: No counterpart on the target: sp_bindefault, a procedure of the engine
-- 179:1: RC0602 by hand: No counterpart on the target: default
-- 181:1: RC0603 by hand: Code is not translated: rule
-- 183:1: RC0604 adapted: Client command left out: ALTER AUTHORIZATION
-- 185:1: RC0602 by hand: No counterpart on the target: partition
-- 187:1: RC0602 by hand: No counterpart on the target: partition
-- 189:1: RC0502 adapted: Storage clauses left out: ON [ps] ([d])
-- 189:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 191:1: RC0604 adapted: Client command left out: UPDATE STATISTICS
-- 193:47: RC0602 by hand: No counterpart on the target: DROP FUNCTION
-- 195:32: RC0609 adapted: Said in other words: the schema dbo is left out
-- 197:38: RC0609 adapted: Said in other words: the schema dbo is left out
-- 199:38: RC0609 adapted: Said in other words: the schema dbo is left out
-- 201:1: RC0604 adapted: Client command left out: ALTER DATABASE SET READ_WRITE
