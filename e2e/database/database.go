// Package database gives every test a database of its own: a clone of a
// template that is migrated once, on the cluster that ./azzel test starts.
package database

import (
	"azzel/store"
	"azzel/store/cluster"
	"context"
	"crypto/rand"
	"encoding/hex"
	"os"
	"regexp"
	"testing"
	"time"

	"github.com/jackc/pgx/v5"
)

const template = "azzel_template"

// Fresh makes an empty, migrated database and gives its address; the test's end removes it.
func Fresh(t testing.TB) string {
	t.Helper()
	admin := os.Getenv("AZZEL_DATABASE")
	if admin == "" {
		t.Fatal("there is no database to test with: run ./azzel test, which starts one")
	}
	ctx, stop := context.WithTimeout(context.Background(), 2*time.Minute)
	defer stop()
	conn, err := pgx.Connect(ctx, admin)
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(ctx)
	// several test programs run at once; one at a time makes databases
	if _, err := conn.Exec(ctx, "SELECT pg_advisory_lock(7420)"); err != nil {
		t.Fatal(err)
	}
	if err := cluster.Create(ctx, admin, template, ""); err != nil {
		t.Fatal(err)
	}
	st, err := store.Open(ctx, named(admin, template))
	if err != nil {
		t.Fatal(err)
	}
	if err := st.Close(); err != nil {
		t.Fatal(err)
	}
	name := "test_" + random()
	if err := cluster.Create(ctx, admin, name, template); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { drop(t, admin, name) })
	return named(admin, name)
}

func drop(t testing.TB, admin, name string) {
	ctx, stop := context.WithTimeout(context.Background(), time.Minute)
	defer stop()
	conn, err := pgx.Connect(ctx, admin)
	if err != nil {
		t.Error(err)
		return
	}
	defer conn.Close(ctx)
	if _, err := conn.Exec(ctx, "DROP DATABASE IF EXISTS "+pgx.Identifier{name}.Sanitize()+" WITH (FORCE)"); err != nil {
		t.Error(err)
	}
}

// Open opens a store on a database until the test ends.
func Open(t testing.TB, dsn string) *store.Store {
	t.Helper()
	st, err := store.Open(context.Background(), dsn)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = st.Close() })
	return st
}

var databaseName = regexp.MustCompile(`dbname=\S+`)

func named(dsn, name string) string {
	return databaseName.ReplaceAllString(dsn, "dbname="+name)
}

func random() string {
	var b [6]byte
	_, _ = rand.Read(b[:])
	return hex.EncodeToString(b[:])
}
