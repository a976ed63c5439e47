-- +goose Up
-- files of sounds, as they were brought in
CREATE TABLE sounds (
    sha        text PRIMARY KEY,
    file       bytea NOT NULL,
    form       text NOT NULL,
    lasts      integer NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now()
);

-- +goose Down
DROP TABLE sounds;
