-- +goose Up
-- a moment of a project that somebody gave a name, to compare with and to come back to
CREATE TABLE versions (
    id         text PRIMARY KEY,
    project_id text NOT NULL REFERENCES projects ON DELETE CASCADE,
    seq        bigint NOT NULL,
    name       text NOT NULL,
    person_id  text NOT NULL REFERENCES people,
    created_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX versions_of_project ON versions (project_id, seq);

-- +goose Down
DROP TABLE versions;
