-- +goose Up
-- a project that is removed and made anew under the same id is another one: pages
-- that were open on the former must not go on with this
ALTER TABLE projects ADD COLUMN born text NOT NULL DEFAULT md5(random()::text || clock_timestamp()::text);

-- a client's name belongs to whoever used it first: nobody else's edits can bear it
CREATE TABLE clients (
    project_id text NOT NULL REFERENCES projects ON DELETE CASCADE,
    client     text NOT NULL,
    person_id  text NOT NULL REFERENCES people ON DELETE CASCADE,
    PRIMARY KEY (project_id, client)
);
INSERT INTO clients (project_id, client, person_id)
    SELECT DISTINCT ON (project_id, client) project_id, client, person_id FROM edits ORDER BY project_id, client, seq;

-- cookies are named after the database, so that two of them on one machine keep apart
CREATE TABLE installation (name text PRIMARY KEY);
INSERT INTO installation VALUES (substr(md5(random()::text || clock_timestamp()::text), 1, 12));

-- +goose Down
DROP TABLE installation, clients;
ALTER TABLE projects DROP COLUMN born;
