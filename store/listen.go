package store

import (
	"context"
	"log/slog"
	"strconv"
	"strings"
	"time"

	"github.com/jackc/pgx/v5"
)

// Listen tells of edits that any process committed, until ctx ends. It has a
// connection of its own; after losing it, missed is called, since edits may
// have come meanwhile.
func (s *Store) Listen(ctx context.Context, heard func(project string, head int64), missed func()) {
	for ctx.Err() == nil {
		if err := s.listenOnce(ctx, heard, missed); err != nil && ctx.Err() == nil {
			slog.Debug("listening was interrupted", "error", err)
		}
		select {
		case <-ctx.Done():
		case <-time.After(200 * time.Millisecond):
		}
	}
}

func (s *Store) listenOnce(ctx context.Context, heard func(string, int64), missed func()) error {
	conn, err := pgx.Connect(ctx, s.dsn)
	if err != nil {
		return err
	}
	defer func() { _ = conn.Close(context.WithoutCancel(ctx)) }()
	if _, err := conn.Exec(ctx, "LISTEN "+Channel); err != nil {
		return err
	}
	missed()
	for {
		n, err := conn.WaitForNotification(ctx)
		if err != nil {
			return err
		}
		project, number, _ := strings.Cut(n.Payload, " ")
		if head, err := strconv.ParseInt(number, 10, 64); err == nil {
			heard(project, head)
		}
	}
}
