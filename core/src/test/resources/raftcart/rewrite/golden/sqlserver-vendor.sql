-- to: postgresql mariadb
/****** Object:  Database [Observatory]    Script Date: 2/3/2021 10:11:12 AM ******/
USE [master]
GO
IF EXISTS (SELECT name FROM sys.databases WHERE name = N'Observatory')
	DROP DATABASE [Observatory]
GO
CREATE DATABASE [Observatory]
 CONTAINMENT = NONE
 ON  PRIMARY 
( NAME = N'Observatory', FILENAME = N'C:\DATA\Observatory.mdf' , SIZE = 8192KB , MAXSIZE = UNLIMITED, FILEGROWTH = 65536KB )
 LOG ON 
( NAME = N'Observatory_log', FILENAME = N'C:\DATA\Observatory_log.ldf' , SIZE = 8192KB , MAXSIZE = 2048GB , FILEGROWTH = 65536KB )
GO
ALTER DATABASE [Observatory] SET COMPATIBILITY_LEVEL = 140
GO
IF (1 = FULLTEXTSERVICEPROPERTY('IsFullTextInstalled'))
begin
EXEC [Observatory].[dbo].[sp_fulltext_database] @action = 'enable'
end
GO
ALTER DATABASE [Observatory] SET ANSI_NULL_DEFAULT OFF 
GO
USE [Observatory]
GO
SET ANSI_NULLS ON
GO
SET QUOTED_IDENTIFIER ON
GO
CREATE SCHEMA [Survey] AUTHORIZATION [dbo];
GO
IF NOT EXISTS (SELECT * FROM sys.schemas WHERE name = N'Plan')
EXEC sys.sp_executesql N'CREATE SCHEMA [Plan] AUTHORIZATION [dbo]'
GO
CREATE TYPE [dbo].[AccountNumber] FROM [nvarchar](15) NULL
GO
CREATE TYPE [dbo].[Flag] FROM [bit] NOT NULL
GO
CREATE XML SCHEMA COLLECTION [Survey].[LogSchema] AS N'<xsd:schema xmlns:xsd="http://www.w3.org/2001/XMLSchema"/>'
GO
IF NOT EXISTS (SELECT * FROM sys.objects WHERE object_id = OBJECT_ID(N'[Survey].[Star]') AND type in (N'U'))
BEGIN
CREATE TABLE [Survey].[Star](
	[StarID] [int] IDENTITY(1,1) NOT FOR REPLICATION NOT NULL,
	[Name] [dbo].[AccountNumber] NOT NULL,
	[Visible] [dbo].[Flag] NOT NULL,
	[Mag] [decimal](9, 4) NULL,
	[Ra] [float] NOT NULL,
	[Dec] [real] NULL,
	[Photo] [varbinary](max) NULL,
	[Notes] [nvarchar](max) NULL,
	[Log] [xml](CONTENT [Survey].[LogSchema]) NULL,
	[rowguid] [uniqueidentifier] ROWGUIDCOL  NOT NULL,
	[ModifiedDate] [datetime] NOT NULL,
	[Full]  AS (isnull([Name]+N' ',N'')+CONVERT([nvarchar](10),[StarID])),
	[Twice] AS ([Mag]*(2)) PERSISTED NOT NULL,
 CONSTRAINT [PK_Star_StarID] PRIMARY KEY CLUSTERED 
(
	[StarID] ASC
)WITH (PAD_INDEX = OFF, STATISTICS_NORECOMPUTE = OFF, IGNORE_DUP_KEY = OFF, ALLOW_ROW_LOCKS = ON, ALLOW_PAGE_LOCKS = ON) ON [PRIMARY]
) ON [PRIMARY] TEXTIMAGE_ON [PRIMARY]
END
GO
SET ANSI_PADDING ON
GO
CREATE UNIQUE NONCLUSTERED INDEX [AK_Star_Name] ON [Survey].[Star]
(
	[Name] ASC
)WITH (PAD_INDEX = OFF, STATISTICS_NORECOMPUTE = OFF, SORT_IN_TEMPDB = OFF, DROP_EXISTING = OFF, ONLINE = OFF, ALLOW_ROW_LOCKS = ON, ALLOW_PAGE_LOCKS = ON) ON [PRIMARY]
GO
IF NOT EXISTS (SELECT * FROM sys.indexes WHERE object_id = OBJECT_ID(N'[Survey].[Star]') AND name = N'IX_Star_Mag')
CREATE NONCLUSTERED INDEX [IX_Star_Mag] ON [Survey].[Star] ([Mag] DESC, [Ra]) INCLUDE ([Dec]) WHERE ([Mag] IS NOT NULL)
GO
ALTER TABLE [Survey].[Star] ADD  CONSTRAINT [DF_Star_rowguid]  DEFAULT (newid()) FOR [rowguid]
GO
ALTER TABLE [Survey].[Star] ADD  CONSTRAINT [DF_Star_ModifiedDate]  DEFAULT (getdate()) FOR [ModifiedDate]
GO
ALTER TABLE [Survey].[Star]  WITH CHECK ADD  CONSTRAINT [FK_Star_Site_SiteID] FOREIGN KEY([SiteID])
REFERENCES [Survey].[Site] ([SiteID])
ON UPDATE CASCADE
ON DELETE SET NULL
GO
IF NOT EXISTS (SELECT * FROM sys.foreign_keys WHERE object_id = OBJECT_ID(N'[Survey].[FK_Star_Old]') AND parent_object_id = OBJECT_ID(N'[Survey].[Star]'))
ALTER TABLE [Survey].[Star]  WITH NOCHECK ADD  CONSTRAINT [FK_Star_Old] FOREIGN KEY([OldID])
REFERENCES [Survey].[Old] ([OldID])
GO
ALTER TABLE [Survey].[Star] CHECK CONSTRAINT [FK_Star_Site_SiteID]
GO
ALTER TABLE [Survey].[Star]  WITH CHECK ADD  CONSTRAINT [CK_Star_Mag] CHECK  (([Mag]>=(0.00) AND upper([Name])<>'X' OR [Mag] IS NULL))
GO
ALTER TABLE [Survey].[Star]  WITH CHECK ADD  CONSTRAINT [CK_Star_Kind] CHECK  ((upper([Kind])='D' OR upper([Kind])='I') AND ([Rating]>=(1) AND [Rating]<=(5)) AND [Born] >= '1930-01-01' AND [Born] <= dateadd(year,(-18),getdate()))
GO
EXEC sys.sp_addextendedproperty @name=N'MS_Description', @value=N'Primary key for Star records.' , @level0type=N'SCHEMA',@level0name=N'Survey', @level1type=N'TABLE',@level1name=N'Star', @level2type=N'COLUMN',@level2name=N'StarID'
GO
EXEC sys.sp_addextendedproperty @name=N'MS_Description', @value=N'Stars that we''ve seen.' , @level0type=N'SCHEMA',@level0name=N'Survey', @level1type=N'TABLE',@level1name=N'Star'
GO
EXECUTE sp_addextendedproperty N'MS_Description', N'Bright ones', N'SCHEMA', N'Survey', N'VIEW', N'vBright', NULL, NULL
GO
EXEC sys.sp_addextendedproperty @name=N'MS_DiagramPaneCount', @value=1 , @level0type=N'SCHEMA',@level0name=N'dbo', @level1type=N'VIEW',@level1name=N'v'
GO
CREATE VIEW [Survey].[vBright] WITH SCHEMABINDING
AS 
SELECT s.[StarID], s.[Name], COUNT_BIG(*) AS [N], [Log].value('(/a/b)[1]', 'nvarchar(30)') AS lv
FROM [Survey].[Star] s
CROSS APPLY s.[Log].nodes(N'/a') A(ref)
GROUP BY s.StarID, s.Name;
GO
CREATE UNIQUE CLUSTERED INDEX [IX_vBright] ON [Survey].[vBright] ([StarID]);
GO
CREATE FULLTEXT CATALOG [ObsFullText] AS DEFAULT;
GO
CREATE FULLTEXT INDEX ON [Survey].[Star] ([Notes] LANGUAGE 1033) KEY INDEX [PK_Star_StarID];
GO
CREATE PRIMARY XML INDEX [PXML_Star_Log] ON [Survey].[Star] ([Log]);
GO
CREATE XML INDEX [XMLPATH_Star] ON [Survey].[Star] ([Log]) USING XML INDEX [PXML_Star_Log] FOR PATH;
GO
CREATE SPATIAL INDEX [sp] ON [Survey].[Star] ([Loc]) USING GEOGRAPHY_GRID;
GO
CREATE STATISTICS [st] ON [Survey].[Star]([Mag], [Ra]);
GO
DECLARE @n int
SET @n = 5
SELECT @n = COUNT(*) FROM [Survey].[Star]
PRINT 'x'
GO
BULK INSERT [Survey].[Star] FROM 'C:\x.csv'
WITH (
    CHECK_CONSTRAINTS,
    CODEPAGE='ACP',
    FIELDTERMINATOR='\t',
    ROWTERMINATOR='\n'
);
GO
SET IDENTITY_INSERT [Survey].[Star] ON 
INSERT [Survey].[Star] ([StarID], [Name], [Visible], [ModifiedDate]) VALUES (1, N'Vega', 1, CAST(N'2008-04-30T00:00:00.000' AS DateTime))
INSERT [Survey].[Star] ([StarID], [Name], [Visible], [ModifiedDate], [Photo]) VALUES (2, N'Altair', 0, CAST(0x00009A2D00000000 AS DateTime), 0x0A0B)
SET IDENTITY_INSERT [Survey].[Star] OFF
GO
ALTER TABLE [dbo].[Site] ADD CONSTRAINT [PK_Site] PRIMARY KEY NONCLUSTERED ([SiteID]), CONSTRAINT UQ_x UNIQUE ([Code])
GO
ALTER TABLE [Site] NOCHECK CONSTRAINT ALL
GO
CREATE TABLE #tmp (id int PRIMARY KEY, v varchar(10) COLLATE SQL_Latin1_General_CP1_CI_AS NULL DEFAULT ('x'))
GO
CREATE TABLE dbo.Hist (id int NOT NULL PRIMARY KEY CLUSTERED, v money, ValidFrom datetime2 GENERATED ALWAYS AS ROW START HIDDEN NOT NULL, ValidTo datetime2 GENERATED ALWAYS AS ROW END HIDDEN NOT NULL, PERIOD FOR SYSTEM_TIME (ValidFrom, ValidTo)) WITH (SYSTEM_VERSIONING = ON (HISTORY_TABLE = dbo.HistOld))
GO
CREATE TABLE dbo.Sparse1 (id int NOT NULL, a int SPARSE NULL, cs xml COLUMN_SET FOR ALL_SPARSE_COLUMNS, INDEX ix1 NONCLUSTERED (id, a), secret nvarchar(11) MASKED WITH (FUNCTION = 'partial(1,"x",1)') NULL)
GO
CREATE SEQUENCE [dbo].[Seq1] AS [int] START WITH 1000 INCREMENT BY 1 MINVALUE -2147483648 MAXVALUE 2147483647 CACHE 
GO
CREATE SYNONYM [dbo].[MyStar] FOR [Survey].[Star]
GO
CREATE TRIGGER [Survey].[dStar] ON [Survey].[Star] INSTEAD OF DELETE NOT FOR REPLICATION AS
BEGIN
    DECLARE @c int;
    SET @c = @@ROWCOUNT;
    IF @c = 0 RETURN;
END;
GO
DISABLE TRIGGER [dStar] ON [Survey].[Star]
GO
ALTER TABLE [Survey].[Star] ENABLE TRIGGER [dStar]
GO
CREATE USER [reader] FOR LOGIN [reader] WITH DEFAULT_SCHEMA=[dbo]
GO
EXEC sp_addrolemember N'db_datareader', N'reader'
GO
ALTER ROLE [db_owner] ADD MEMBER [reader]
GO
GRANT SELECT ON [Survey].[Star] TO [reader] AS [dbo]
GO
GRANT EXECUTE TO [reader]
GO
DENY DELETE ON OBJECT::[Survey].[Star] TO [reader]
GO
EXEC sp_bindefault 'd1', 'Star.Mag'
GO
CREATE DEFAULT [d1] AS 0
GO
CREATE RULE [r1] AS @v > 0
GO
ALTER AUTHORIZATION ON DATABASE::[Observatory] TO [sa]
GO
CREATE PARTITION FUNCTION [pf](datetime) AS RANGE RIGHT FOR VALUES ('2001-01-01', '2002-01-01')
GO
CREATE PARTITION SCHEME [ps] AS PARTITION [pf] ALL TO ([PRIMARY])
GO
CREATE TABLE [dbo].[Part] ([id] int, [d] datetime) ON [ps]([d])
GO
UPDATE STATISTICS [dbo].[Part]
GO
IF OBJECT_ID('dbo.GetName', 'FN') IS NOT NULL DROP FUNCTION dbo.GetName
GO
IF OBJECT_ID('dbo.T1') IS NULL CREATE TABLE dbo.T1 (id int)
GO
IF COL_LENGTH('dbo.T1', 'x') IS NULL ALTER TABLE dbo.T1 ADD x int NULL
GO
IF NOT EXISTS (SELECT 1 FROM dbo.T1) INSERT INTO dbo.T1 (id) VALUES (1)
GO
ALTER DATABASE [Observatory] SET READ_WRITE 
GO
