-- +goose Up
-- what was found out of finishing a project as it stands, by its hash: nothing of it is missed when it is gone
CREATE TABLE answers (
    hash       text NOT NULL,
    question   text NOT NULL,
    answer     bytea NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY (hash, question)
);
CREATE INDEX answers_created ON answers (created_at);

-- +goose Down
DROP TABLE answers;
