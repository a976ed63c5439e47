-- +goose Up
CREATE TABLE people (
    id         text PRIMARY KEY,
    token_hash bytea NOT NULL UNIQUE,
    name       text NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now()
);

CREATE TABLE projects (
    id           text PRIMARY KEY,
    name         text NOT NULL,
    head         bigint NOT NULL DEFAULT 0,
    next_tileset integer NOT NULL DEFAULT 1,
    created_at   timestamptz NOT NULL DEFAULT now(),
    changed_at   timestamptz NOT NULL DEFAULT now()
);

CREATE TABLE members (
    project_id text NOT NULL REFERENCES projects ON DELETE CASCADE,
    person_id  text NOT NULL REFERENCES people ON DELETE CASCADE,
    role       text NOT NULL CHECK (role IN ('owner', 'editor', 'viewer')),
    PRIMARY KEY (project_id, person_id)
);

CREATE TABLE pictures (
    sha        text PRIMARY KEY,
    png        bytea NOT NULL,
    width      integer NOT NULL,
    height     integer NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now()
);

CREATE TABLE edits (
    project_id text NOT NULL REFERENCES projects ON DELETE CASCADE,
    seq        bigint NOT NULL,
    person_id  text NOT NULL REFERENCES people,
    client     text NOT NULL,
    number     bigint NOT NULL,
    format     integer NOT NULL,
    kind       text NOT NULL CHECK (kind IN ('do', 'undo', 'redo')),
    of_client  text NOT NULL DEFAULT '',
    of_number  bigint NOT NULL DEFAULT 0,
    label      text NOT NULL,
    edit       bytea NOT NULL,
    revert     bytea NOT NULL,
    changes    boolean NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY (project_id, seq),
    UNIQUE (project_id, client, number)
);

CREATE INDEX edits_by_person ON edits (project_id, person_id, seq);

CREATE TABLE snapshots (
    project_id text NOT NULL REFERENCES projects ON DELETE CASCADE,
    seq        bigint NOT NULL,
    state      bytea NOT NULL,
    PRIMARY KEY (project_id, seq)
);

-- +goose Down
DROP TABLE snapshots, edits, pictures, members, projects, people;
