USE Observatory
GO
SET ANSI_NULLS ON
GO
CREATE TABLE dbo.dome (
  dome_id INT IDENTITY(1,1) NOT NULL,
  label NVARCHAR(40) COLLATE Latin1_General_BIN2 NOT NULL,
  diameter DECIMAL(5,2) CONSTRAINT df_diameter DEFAULT (4.5),
  is_open BIT NOT NULL DEFAULT ((0)),
  built DATETIME2(0) NOT NULL DEFAULT (SYSDATETIME()),
  CONSTRAINT dome_pk PRIMARY KEY CLUSTERED (dome_id) WITH (PAD_INDEX = OFF) ON [PRIMARY],
  CONSTRAINT dome_label_uk UNIQUE NONCLUSTERED (label)
) ON [PRIMARY] TEXTIMAGE_ON [PRIMARY]
GO
CREATE SEQUENCE dbo.seq_plate AS BIGINT START WITH 1000 INCREMENT BY 1
GO
CREATE TABLE dbo.observer (
  observer_id INT NOT NULL PRIMARY KEY,
  login VARCHAR(30) COLLATE Latin1_General_BIN2 NOT NULL,
  full_name NVARCHAR(120) COLLATE Latin1_General_BIN2 NULL,
  email VARCHAR(200) COLLATE Latin1_General_BIN2 NULL
)
GO
CREATE UNIQUE INDEX observer_login ON dbo.observer (login)
GO
CREATE TABLE dbo.observation (
  observation_id BIGINT NOT NULL CONSTRAINT observation_pk PRIMARY KEY,
  dome_id INT NOT NULL,
  observer_id INT NULL,
  [Order] SMALLINT NOT NULL DEFAULT 1,
  started DATETIME2(3) NOT NULL,
  ended DATETIME2(3) NULL,
  seconds DECIMAL(10,3) NOT NULL DEFAULT 0,
  remark NVARCHAR(MAX) COLLATE Latin1_General_BIN2 NULL,
  frame VARBINARY(MAX) NULL,
  checksum BINARY(16) NULL,
  CONSTRAINT observation_times CHECK (ended IS NULL OR ended >= started),
  CONSTRAINT observation_seconds CHECK (seconds BETWEEN 0 AND 86400)
)
GO
ALTER TABLE dbo.observation WITH CHECK ADD CONSTRAINT observation_dome_fk FOREIGN KEY (dome_id) REFERENCES dbo.dome (dome_id) ON DELETE CASCADE
GO
ALTER TABLE dbo.observation ADD CONSTRAINT observation_observer_fk FOREIGN KEY (observer_id) REFERENCES dbo.observer (observer_id) ON DELETE SET NULL
GO
ALTER TABLE dbo.observation CHECK CONSTRAINT observation_dome_fk
GO
CREATE INDEX observation_started ON dbo.observation (started DESC, dome_id)
GO
ALTER TABLE dbo.observation ADD quality VARCHAR(10) COLLATE Latin1_General_BIN2 NOT NULL CONSTRAINT df_quality DEFAULT ('good')
GO
ALTER TABLE dbo.observer ALTER COLUMN email VARCHAR(254) NULL
GO
EXEC sp_rename 'dbo.observer.full_name', 'name', 'COLUMN'
GO
CREATE VIEW dbo.busy_dome AS
SELECT d.label, COUNT(*) AS looks, MAX(o.started) AS last_look
FROM dbo.dome d INNER JOIN dbo.observation o ON o.dome_id = d.dome_id
GROUP BY d.label
GO
CREATE VIEW dbo.busiest AS
SELECT TOP 100 PERCENT label, ISNULL(CONVERT(VARCHAR(10), last_look, 120), 'never') AS last_day FROM dbo.busy_dome WHERE looks > 1
GO
CREATE PROCEDURE dbo.close_dome @dome INT AS
BEGIN
  UPDATE dbo.dome SET is_open = 0 WHERE dome_id = @dome;
END
GO
SET IDENTITY_INSERT dbo.dome ON
GO
INSERT INTO dbo.dome (dome_id, label, diameter, is_open, built) VALUES (1, N'North', 6.5, 1, '2019-04-01'), (2, N'South', 4.5, 0, '2021-10-05')
GO
SET IDENTITY_INSERT dbo.dome OFF
GO
INSERT INTO dbo.observer (observer_id, login, name) VALUES (100, 'ada', N'Ada of the Ridge')
GO
INSERT dbo.observation (observation_id, dome_id, observer_id, started, seconds, remark) VALUES (1, 1, 100, '2031-01-02 03:04:05.125', 12.5, N'clear; it''s cold')
INSERT dbo.observation (observation_id, dome_id, started, seconds, checksum) VALUES (2, 1, '2031-01-03 04:05:06', 30, 0x00112233445566778899AABBCCDDEEFF)
GO
