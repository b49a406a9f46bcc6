-- to: postgresql
USE [Kestrel]
GO
SET ANSI_NULLS ON
GO
SET QUOTED_IDENTIFIER ON
GO
IF NOT EXISTS (SELECT * FROM sys.objects WHERE object_id = OBJECT_ID(N'[dbo].[Telescope]') AND type in (N'U'))
BEGIN
CREATE TABLE [dbo].[Telescope](
	[TelescopeId] [int] IDENTITY(1,1) NOT FOR REPLICATION NOT NULL,
	[Name] [nvarchar](100) COLLATE SQL_Latin1_General_CP1_CI_AS NOT NULL,
	[Aperture] [decimal](6, 3) NULL CONSTRAINT [DF_T_Ap] DEFAULT ((0)),
	[Price] [money] NULL,
	[Notes] [nvarchar](max) NULL,
	[Img] [varbinary](max) NULL,
	[Guid] [uniqueidentifier] ROWGUIDCOL NOT NULL DEFAULT (newid()),
	[Active] [bit] NOT NULL DEFAULT ((1)),
	[Created] [datetime2](7) NOT NULL DEFAULT (sysutcdatetime()),
	[Upd] [datetime] NULL DEFAULT (getdate()),
	[Off] [datetimeoffset](3) NULL,
	[Ver] [timestamp] NOT NULL,
	[Doc] [xml] NULL,
	[FullName]  AS ([Name]+N' '+CONVERT([nvarchar](10),[Active])) PERSISTED,
 CONSTRAINT [PK_Telescope] PRIMARY KEY CLUSTERED 
(
	[TelescopeId] ASC
)WITH (PAD_INDEX = OFF, STATISTICS_NORECOMPUTE = OFF, IGNORE_DUP_KEY = OFF, ALLOW_ROW_LOCKS = ON, ALLOW_PAGE_LOCKS = ON) ON [PRIMARY]
) ON [PRIMARY] TEXTIMAGE_ON [PRIMARY]
END
GO
CREATE TABLE dbo.Obs (Id bigint NOT NULL IDENTITY PRIMARY KEY NONCLUSTERED, TelescopeId int NOT NULL FOREIGN KEY REFERENCES dbo.Telescope(TelescopeId) ON DELETE CASCADE, Mag real SPARSE NULL, T time(0), D date, S smalldatetime, SM smallmoney, TT tinyint, H hierarchyid, G geography, V sql_variant, INDEX IX_Mag NONCLUSTERED (Mag DESC) INCLUDE (T) WHERE Mag IS NOT NULL)
GO
ALTER TABLE [dbo].[Obs]  WITH NOCHECK ADD  CONSTRAINT [FK_Obs_Tel] FOREIGN KEY([TelescopeId])
REFERENCES [dbo].[Telescope] ([TelescopeId])
ON UPDATE CASCADE
GO
ALTER TABLE [dbo].[Obs] CHECK CONSTRAINT [FK_Obs_Tel]
GO
ALTER TABLE dbo.Obs ADD Remark nvarchar(200) NOT NULL CONSTRAINT DF_R DEFAULT N'' WITH VALUES, Flag bit
GO
ALTER TABLE dbo.Obs ALTER COLUMN Remark nvarchar(400) NULL
GO
ALTER TABLE dbo.Obs DROP CONSTRAINT DF_R, COLUMN Flag
GO
ALTER TABLE dbo.Obs ADD DEFAULT (0) FOR Mag
GO
CREATE UNIQUE NONCLUSTERED INDEX [IX_T] ON [dbo].[Telescope] ([Name] ASC, [Created] DESC) INCLUDE ([Price]) WHERE ([Active]=(1)) WITH (FILLFACTOR = 80, ONLINE = ON) ON [PRIMARY]
GO
CREATE SEQUENCE dbo.Seq AS bigint START WITH 1 INCREMENT BY 1 MINVALUE 1 NO MAXVALUE CYCLE CACHE 50
GO
CREATE VIEW dbo.vT WITH SCHEMABINDING AS SELECT TelescopeId, Name FROM dbo.Telescope WHERE Active = 1 WITH CHECK OPTION
GO
EXEC sys.sp_addextendedproperty @name=N'MS_Description', @value=N'The telescopes' , @level0type=N'SCHEMA',@level0name=N'dbo', @level1type=N'TABLE',@level1name=N'Telescope'
GO
EXEC sp_rename 'dbo.Obs.Remark', 'Note', 'COLUMN';
GO
CREATE TYPE dbo.Code FROM varchar(11) NOT NULL
GO
CREATE SYNONYM dbo.Scope FOR dbo.Telescope
GO
CREATE SCHEMA stage AUTHORIZATION dbo
GO
CREATE FULLTEXT INDEX ON dbo.Telescope(Name) KEY INDEX PK_Telescope
GO
SET IDENTITY_INSERT dbo.Telescope ON
INSERT dbo.Telescope (TelescopeId, Name, Active) VALUES (1, N'One', 1), (2, N'It''s', 0)
INSERT INTO dbo.Telescope (Name, Created) VALUES (N'X', CAST(N'2020-01-02T03:04:05.000' AS DateTime))
SET IDENTITY_INSERT dbo.Telescope OFF
GO
SELECT TOP (10) WITH TIES t.*, ISNULL(t.Notes, '') + 'x' AS n FROM Telescope t WITH (NOLOCK) ORDER BY t.Price DESC
SELECT TOP 5 PERCENT * FROM Telescope
SELECT Name, COUNT(*) OVER (PARTITION BY Active) c, STRING_AGG(Name, ',') WITHIN GROUP (ORDER BY Name) FROM Telescope GROUP BY Name, Active
SELECT DATEADD(day, 7, Created), DATEDIFF(hour, Created, GETDATE()), DATEPART(week, Created), DATENAME(month, Created), EOMONTH(Created), CONVERT(varchar(10), Created, 120), FORMAT(Created, 'yyyy-MM-dd'), YEAR(Created) FROM Telescope
SELECT LEN(Name), CHARINDEX('a', Name), PATINDEX('%[0-9]%', Name), STUFF(Name, 1, 2, 'zz'), REPLICATE('a', 3), LEFT(Name, 3), REVERSE(Name), QUOTENAME(Name), SOUNDEX(Name), CHECKSUM(Name), HASHBYTES('SHA2_256', Name) FROM Telescope
SELECT IIF(Active = 1, 'y', 'n'), CHOOSE(2, 'a', 'b'), COALESCE(NULL, 1), TRY_CAST('1' AS int), TRY_CONVERT(date, 'x'), ISNUMERIC(Name), NEWID(), @@ROWCOUNT, SCOPE_IDENTITY(), DB_NAME(), SUSER_SNAME() FROM Telescope
SELECT * FROM Telescope t CROSS APPLY (SELECT TOP 1 * FROM Obs o WHERE o.TelescopeId = t.TelescopeId ORDER BY o.Mag) x OUTER APPLY STRING_SPLIT(t.Name, ',') s
SELECT Name FROM Telescope FOR XML PATH('t'), ROOT('r')
SELECT Name FROM Telescope FOR JSON AUTO
SELECT * INTO #tmp FROM Telescope WHERE 1 = 0
SELECT * FROM OPENJSON(@j) WITH (id int '$.id', nm nvarchar(10) '$.n')
SELECT JSON_VALUE(Notes, '$.a'), JSON_QUERY(Notes, '$.b'), ISJSON(Notes) FROM Telescope
UPDATE t SET t.Name = o.Remark OUTPUT inserted.Name FROM Telescope t INNER JOIN Obs o ON o.TelescopeId = t.TelescopeId WHERE o.Mag > 5
DELETE TOP (10) FROM Obs WHERE Mag IS NULL
DELETE o FROM Obs o JOIN Telescope t ON t.TelescopeId = o.TelescopeId WHERE t.Active = 0
MERGE dbo.Telescope AS t USING (VALUES (1, N'a')) AS s (id, nm) ON t.TelescopeId = s.id WHEN MATCHED AND t.Name <> s.nm THEN UPDATE SET Name = s.nm WHEN NOT MATCHED BY TARGET THEN INSERT (Name) VALUES (s.nm) WHEN NOT MATCHED BY SOURCE THEN DELETE OUTPUT $action, inserted.TelescopeId;
WITH c AS (SELECT 1 n UNION ALL SELECT n + 1 FROM c WHERE n < 10) SELECT * FROM c OPTION (MAXRECURSION 100)
SELECT * FROM (SELECT Active, Price FROM Telescope) p PIVOT (SUM(Price) FOR Active IN ([0], [1])) AS pv
SELECT u.k, u.v FROM Telescope UNPIVOT (v FOR k IN (Price, Aperture)) u
DECLARE @x int = 5, @y nvarchar(10)
SELECT @x = COUNT(*) FROM Telescope
PRINT 'done'
GO
SELECT NEXT VALUE FOR dbo.Seq
SELECT * FROM Telescope ORDER BY Name OFFSET 10 ROWS FETCH NEXT 5 ROWS ONLY
SELECT a.Name FROM Telescope a WHERE a.Name LIKE '[a-c]%' ESCAPE '!'
SELECT * FROM Telescope WHERE Created >= '20200101' AND Upd BETWEEN {d '2020-01-01'} AND {ts '2020-01-02 00:00:00'}
SELECT Created + 1, Price * 1.1, 7 / 2, 'a' + CAST(1 AS varchar) FROM Telescope
SELECT GETDATE() - 1, DATEDIFF(DAY, 0, GETDATE()), DATEADD(month, DATEDIFF(month, 0, GETDATE()), 0)
BEGIN TRY SELECT 1/0 END TRY BEGIN CATCH PRINT ERROR_MESSAGE() END CATCH
GO
CREATE PROCEDURE dbo.p @a int AS BEGIN SET NOCOUNT ON; SELECT * FROM Telescope WHERE TelescopeId = @a; END
GO
GRANT SELECT ON dbo.Telescope TO reader
DENY DELETE ON dbo.Telescope TO reader
EXEC dbo.p @a = 5
EXEC('SELECT 1')
TRUNCATE TABLE dbo.Obs
DROP INDEX IX_T ON dbo.Telescope
DROP TABLE IF EXISTS dbo.Obs, dbo.Telescope
DROP VIEW dbo.vT
ALTER DATABASE Kestrel SET RECOVERY SIMPLE
ALTER INDEX ALL ON dbo.Telescope REBUILD
DBCC CHECKIDENT ('dbo.Telescope', RESEED, 0)
BEGIN TRANSACTION
COMMIT TRAN
INSERT INTO Obs (TelescopeId) EXEC dbo.p 1
INSERT INTO Obs DEFAULT VALUES
INSERT INTO Obs (TelescopeId) OUTPUT inserted.Id INTO @ids VALUES (1)
SELECT name FROM sys.tables
SELECT COUNT_BIG(*), STDEV(Price), VAR(Price), STDEVP(Price), APPROX_COUNT_DISTINCT(Name), GROUPING_ID(Active), CHECKSUM_AGG(1) FROM Telescope GROUP BY Active WITH ROLLUP
SELECT DISTINCT TOP 3 Name FROM Telescope
SELECT Name AS 'The Name', [Price] = Price * 2, "q" FROM Telescope
SELECT LAG(Price, 1, 0) OVER (ORDER BY Created), PERCENTILE_CONT(0.5) WITHIN GROUP (ORDER BY Price) OVER (PARTITION BY Active) FROM Telescope
SELECT CONCAT_WS(',', Name, Notes), TRIM('x' FROM Name), STRING_ESCAPE(Name, 'json'), TRANSLATE(Name, 'ab', 'cd'), CAST(Created AS date), CAST(Price AS int), SWITCHOFFSET(Off, '+00:00'), TODATETIMEOFFSET(Created, '+01:00'), Created AT TIME ZONE 'UTC' FROM Telescope
GO
-- options of columns have names of constraints, by which they are dropped
CREATE TABLE dbo.plate (id int NOT NULL, band varchar(3) NOT NULL CONSTRAINT df_band DEFAULT 'V',
  flux int CONSTRAINT df_flux DEFAULT 0, CONSTRAINT pk_plate PRIMARY KEY CLUSTERED (id))
GO
ALTER TABLE dbo.plate DROP CONSTRAINT df_band
GO
ALTER TABLE dbo.plate ADD CONSTRAINT df_id DEFAULT 5 FOR id
GO
ALTER TABLE dbo.plate DROP CONSTRAINT df_id, CONSTRAINT pk_plate
GO
