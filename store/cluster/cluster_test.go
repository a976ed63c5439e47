package cluster_test

import (
	"azzel/store/cluster"
	"context"
	"os"
	"path/filepath"
	"strconv"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/jackc/pgx/v5"
)

var ctx = context.Background()

// folder is one that the user postgres can come into when the tests run as root.
func folder(t *testing.T) string {
	t.Helper()
	dir, err := os.MkdirTemp("/var/tmp", "azzel-test-")
	if err != nil {
		t.Fatal(err)
	}
	if err := os.Chmod(dir, 0o755); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = os.RemoveAll(dir) })
	return filepath.Join(dir, "database")
}

func ask(t *testing.T, c *cluster.Cluster, database, sql string) (string, error) {
	t.Helper()
	ctx, stop := context.WithTimeout(ctx, 20*time.Second)
	defer stop()
	conn, err := pgx.Connect(ctx, c.DSN(database))
	if err != nil {
		return "", err
	}
	defer conn.Close(ctx)
	var out string
	err = conn.QueryRow(ctx, sql).Scan(&out)
	return out, err
}

func TestClusterLives(t *testing.T) {
	t.Parallel()
	dir := folder(t)
	c, err := cluster.Start(dir)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = c.Stop() }()
	for setting, want := range map[string]string{
		"fsync": "on", "listen_addresses": "127.0.0.1", "unix_socket_directories": "", "password_encryption": "scram-sha-256",
	} {
		if got, err := ask(t, c, "postgres", "SELECT current_setting('"+setting+"')"); err != nil || got != want {
			t.Errorf("%s is %q, %v, wanted %q", setting, got, err, want)
		}
	}
	secrets := 0
	err = filepath.WalkDir(dir, func(path string, d os.DirEntry, err error) error {
		if err == nil && strings.Contains(filepath.Base(path), "password") {
			secrets++
			if info, _ := d.Info(); info.Mode().Perm() != 0o600 {
				t.Errorf("%s can be read by others: %v", filepath.Base(path), info.Mode())
			}
		}
		return nil
	})
	if err != nil || secrets == 0 {
		t.Errorf("%d files of passwords, %v", secrets, err)
	}
	if _, err := pgx.Connect(ctx, strings.Replace(c.DSN("postgres"), "password=", "password=wrong", 1)); err == nil {
		t.Error("a wrong password was taken")
	}

	for range 2 { // making what is there is no error
		if err := c.Create(ctx, "kept", ""); err != nil {
			t.Fatal(err)
		}
	}
	if err := c.Create(ctx, "copy", "kept"); err != nil {
		t.Fatal(err)
	}
	if err := c.Drop(ctx, "copy"); err != nil {
		t.Fatal(err)
	}
	if _, err := ask(t, c, "copy", "SELECT 'here'"); err == nil {
		t.Error("a dropped database answers")
	}

	// killed like by a power cut, it comes back with what was committed
	c.Kill()
	if err := c.Restart(); err != nil {
		t.Fatal(err)
	}
	if got, err := ask(t, c, "kept", "SELECT 'here'"); err != nil || got != "here" {
		t.Errorf("after a kill: %q, %v", got, err)
	}
	if err := c.Stop(); err != nil {
		t.Fatal(err)
	}
	if _, err := ask(t, c, "kept", "SELECT 'here'"); err == nil {
		t.Error("a stopped cluster answers")
	}
	// a second start uses the same data
	again, err := cluster.Start(dir)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = again.Stop() }()
	if got, err := ask(t, again, "kept", "SELECT 'here'"); err != nil || got != "here" {
		t.Errorf("after a second start: %q, %v", got, err)
	}
}

func TestSupervisedClusterStartsAgain(t *testing.T) {
	t.Parallel()
	dir := folder(t)
	c, err := cluster.Start(dir)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = c.Stop() }()
	c.Supervise(func(error) {})
	text, err := os.ReadFile(filepath.Join(dir, "data", "postmaster.pid"))
	if err != nil {
		t.Fatal(err)
	}
	pid, _ := strconv.Atoi(strings.SplitN(string(text), "\n", 2)[0])
	if err := syscall.Kill(pid, syscall.SIGKILL); err != nil {
		t.Fatal(err)
	}
	end := time.Now().Add(30 * time.Second)
	for {
		if _, err = ask(t, c, "postgres", "SELECT 'here'"); err == nil {
			return
		}
		if time.Now().After(end) {
			t.Fatalf("it did not come back: %v", err)
		}
	}
}

func TestOtherVersionIsSaid(t *testing.T) {
	t.Parallel()
	dir := folder(t)
	if err := os.MkdirAll(filepath.Join(dir, "data"), 0o755); err != nil {
		t.Fatal(err)
	}
	if err := os.WriteFile(filepath.Join(dir, "data", "PG_VERSION"), []byte("9\n"), 0o644); err != nil {
		t.Fatal(err)
	}
	_, err := cluster.Start(dir)
	if err == nil || !strings.Contains(err.Error(), "9") {
		t.Errorf("data of version 9 gave %v", err)
	}
}

func TestFolderOfACheckout(t *testing.T) {
	open := t.TempDir()
	if got := cluster.Folder("/"); got != "/.azzel/database" {
		t.Errorf("the folder of / is %s", got)
	}
	closed := filepath.Join(open, "closed")
	if err := os.Mkdir(closed, 0o700); err != nil {
		t.Fatal(err)
	}
	got := cluster.Folder(closed)
	if os.Geteuid() == 0 && !strings.HasPrefix(got, "/var/tmp/azzel-") {
		t.Errorf("as root, a checkout that postgres cannot enter has its data in %s", got)
	}
	if os.Geteuid() != 0 && got != filepath.Join(closed, ".azzel", "database") {
		t.Errorf("its data is in %s", got)
	}
}
