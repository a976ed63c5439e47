-- +goose Up
-- a project that is removed can be brought back until it is deleted for good
ALTER TABLE projects ADD COLUMN removed_at timestamptz;

-- +goose Down
ALTER TABLE projects DROP COLUMN removed_at;
