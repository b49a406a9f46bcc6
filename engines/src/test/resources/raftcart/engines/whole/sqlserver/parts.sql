CREATE TABLE dbo.frame (
  frame_id int IDENTITY(1,1) NOT NULL,
  guid uniqueidentifier NOT NULL CONSTRAINT df_guid DEFAULT (newid()),
  guid2 uniqueidentifier ROWGUIDCOL DEFAULT (newsequentialid()),
  code nvarchar(20) NOT NULL CONSTRAINT df_code DEFAULT (N'F' + CONVERT(nvarchar(4), YEAR(getdate()))),
  taken datetime NULL DEFAULT (getdate()),
  utc datetime2(7) NOT NULL DEFAULT (sysutcdatetime()),
  off datetimeoffset(7) DEFAULT (sysdatetimeoffset()),
  day date DEFAULT (CONVERT(date, getdate())),
  who sysname DEFAULT (suser_sname()),
  who2 nvarchar(128) DEFAULT (ORIGINAL_LOGIN()),
  flag bit NOT NULL DEFAULT ((0)),
  flux decimal(9,3) DEFAULT ((0.0)) CHECK (flux >= (0) AND flux < (1000)),
  cash money DEFAULT ($0.00),
  ends datetime DEFAULT ('9999-12-31T23:59:59.997'),
  ends2 datetime DEFAULT (CONVERT(datetime, '19000101', 112)),
  note nvarchar(max) DEFAULT (NULL),
  n int DEFAULT ((-1)),
  x xml NULL,
  b varbinary(8) DEFAULT (0x00FF),
  v rowversion,
  up AS (upper(code)),
  yr AS (datepart(year, taken)),
  total AS (flux * n) PERSISTED,
  full_name AS (code + N' ' + ISNULL(note, N'')),
  CONSTRAINT PK_frame PRIMARY KEY CLUSTERED (frame_id ASC) WITH (PAD_INDEX = OFF, FILLFACTOR = 90) ON [PRIMARY],
  CONSTRAINT UQ_frame UNIQUE NONCLUSTERED (code),
  CONSTRAINT CK_code CHECK (code LIKE N'[A-Z]%'),
  CONSTRAINT CK_len CHECK (LEN(code) > 1),
  CONSTRAINT CK_day CHECK (day <= getdate()),
  CONSTRAINT CK_in CHECK ([n] IN ((1), (2), (-1)) OR [n] IS NULL)
) ON [PRIMARY] TEXTIMAGE_ON [PRIMARY];
GO
CREATE SEQUENCE dbo.log_seq AS bigint START WITH 100 INCREMENT BY 5;
GO
CREATE TABLE dbo.frame_log (log_id bigint NOT NULL CONSTRAINT df_log DEFAULT (NEXT VALUE FOR dbo.log_seq), frame_id int NULL, at datetime2 NOT NULL DEFAULT (sysdatetime()));
GO
ALTER TABLE dbo.frame_log ADD CONSTRAINT PK_log PRIMARY KEY (log_id);
ALTER TABLE dbo.frame_log WITH CHECK ADD CONSTRAINT FK_log FOREIGN KEY (frame_id) REFERENCES dbo.frame (frame_id) ON DELETE CASCADE;
ALTER TABLE dbo.frame_log CHECK CONSTRAINT FK_log;
GO
CREATE NONCLUSTERED INDEX ix1 ON dbo.frame (taken DESC) INCLUDE (code, flux) WHERE flag = 1;
CREATE UNIQUE INDEX ix2 ON dbo.frame (guid) WHERE guid IS NOT NULL;
CREATE INDEX ix3 ON dbo.frame (up);
GO
CREATE VIEW dbo.v1 AS SELECT TOP (100) frame_id, ISNULL(note, N'none') AS note, CONVERT(varchar(16), taken, 120) AS t, DATEDIFF(month, taken, GETDATE()) AS m, IIF(flag = 1, 'yes', 'no') AS y FROM dbo.frame ORDER BY taken DESC;
GO
CREATE VIEW dbo.v2 AS SELECT flag, COUNT_BIG(*) AS n, STRING_AGG(code, ',') WITHIN GROUP (ORDER BY code) AS codes FROM dbo.frame GROUP BY flag;
GO
CREATE VIEW dbo.v3 WITH SCHEMABINDING AS SELECT f.code, l.at, ROW_NUMBER() OVER (PARTITION BY f.flag ORDER BY l.at) AS rn FROM dbo.frame AS f LEFT JOIN dbo.frame_log AS l ON l.frame_id = f.frame_id WHERE CAST(f.taken AS date) = CAST(DATEADD(day, -1, GETDATE()) AS date);
GO
CREATE VIEW dbo.v4 AS SELECT SUBSTRING(code, 1, CHARINDEX('-', code + '-') - 1) AS p, LEFT(code, 1) + RIGHT(code, 1) AS q, STUFF(code, 1, 1, 'x') AS s FROM dbo.frame;
GO
SET IDENTITY_INSERT dbo.frame ON;
INSERT INTO dbo.frame (frame_id, code, taken, flux, flag) VALUES (1, N'F1', CAST(N'2026-03-01T22:10:00.000' AS DateTime), CAST(1.500 AS Decimal(9, 3)), 1);
INSERT dbo.frame (frame_id, guid, code, taken, flux, n, b) VALUES (2, N'00112233-4455-6677-8899-aabbccddeeff', N'F2', '20260302', .25, 2, 0x0102);
SET IDENTITY_INSERT dbo.frame OFF;
INSERT dbo.frame (code, note) VALUES (N'F3', N'it''s; fine'), (N'F4', N'Ä');
INSERT dbo.frame_log (frame_id) VALUES (1);
GO
