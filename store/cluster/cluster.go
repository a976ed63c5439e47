// Package cluster runs a private PostgreSQL: its own data folder, a free port
// on 127.0.0.1, a random password, no Unix socket.
package cluster

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"fmt"
	"io/fs"
	"net"
	"os"
	"os/exec"
	"os/user"
	"path/filepath"
	"runtime"
	"sort"
	"strconv"
	"strings"
	"sync"
	"syscall"
	"time"

	"github.com/jackc/pgx/v5"
)

// Cluster is a running PostgreSQL.
type Cluster struct {
	dir      string
	bin      string
	owner    *syscall.Credential
	port     int
	password string
	lock     *os.File

	mu      sync.Mutex
	process *os.Process
	exited  chan struct{}
	stopped bool
}

// Start makes the data folder when it is missing, or uses it, and starts PostgreSQL.
func Start(dir string) (*Cluster, error) {
	c := &Cluster{dir: dir}
	var err error
	if c.bin, err = programs(); err != nil {
		return nil, err
	}
	if os.Geteuid() == 0 {
		if c.owner, err = postgresUser(); err != nil {
			return nil, err
		}
	}
	if err := os.MkdirAll(c.dir, 0o755); err != nil {
		return nil, fmt.Errorf("the folder %s cannot be made: give yourself the right to write there (%w)", c.dir, err)
	}
	if err := c.takeLock(); err != nil {
		return nil, err
	}
	err = c.prepare()
	if err == nil {
		c.port, err = freePort()
	}
	if err == nil {
		err = c.run()
	}
	if err != nil {
		_ = c.lock.Close()
		return nil, err
	}
	return c, nil
}

// Running is given when another process runs the cluster of a folder. Note is what
// that process has noted with Note, empty when it has not yet.
type Running struct{ Note string }

// Folder is where a checkout's database belongs: inside it, or, for root, under
// /var/tmp where the user postgres cannot come into the checkout.
func Folder(checkout string) string {
	if os.Geteuid() == 0 {
		for dir := checkout; dir != "/" && dir != "."; dir = filepath.Dir(dir) {
			if info, err := os.Stat(dir); err == nil && info.Mode().Perm()&1 == 0 {
				sum := sha256.Sum256([]byte(checkout))
				return filepath.Join("/var/tmp", "azzel-"+hex.EncodeToString(sum[:6]), "database")
			}
		}
	}
	return filepath.Join(checkout, ".azzel", "database")
}

// programs finds the newest installed PostgreSQL.
func programs() (string, error) {
	found, _ := filepath.Glob("/usr/lib/postgresql/*/bin/postgres") // the pattern is a constant
	sort.Slice(found, func(i, j int) bool { return major(found[i]) > major(found[j]) })
	if len(found) == 0 {
		return "", errors.New("PostgreSQL is not installed: run “apt-get install postgresql”")
	}
	return filepath.Dir(found[0]), nil
}

func major(path string) int {
	n, _ := strconv.Atoi(strings.Split(strings.TrimPrefix(path, "/usr/lib/postgresql/"), "/")[0])
	return n
}

func postgresUser() (*syscall.Credential, error) {
	u, err := user.Lookup("postgres")
	if err != nil {
		return nil, errors.New("there is no user “postgres” to run the database as: run “apt-get install --reinstall postgresql-common”")
	}
	uid, _ := strconv.Atoi(u.Uid)
	gid, _ := strconv.Atoi(u.Gid)
	return &syscall.Credential{Uid: uint32(uid), Gid: uint32(gid)}, nil
}

func freePort() (int, error) {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return 0, fmt.Errorf("find a free port: %w", err)
	}
	defer l.Close()
	return l.Addr().(*net.TCPAddr).Port, nil
}

func (c *Cluster) data() string { return filepath.Join(c.dir, "data") }

// prepare makes the folder, the password and the data, or checks them.
func (c *Cluster) prepare() error {
	version, err := os.ReadFile(filepath.Join(c.data(), "PG_VERSION"))
	if err == nil {
		want := strconv.Itoa(major(c.bin + "/"))
		if got := strings.TrimSpace(string(version)); got != want {
			return fmt.Errorf("the data in %s is of PostgreSQL %s and %s is installed: run “apt-get install postgresql-%s”", c.data(), got, want, got)
		}
		password, err := os.ReadFile(filepath.Join(c.dir, "password"))
		c.password = strings.TrimSpace(string(password))
		if err != nil {
			return fmt.Errorf("the password of the database in %s cannot be read: run this as the user who made it (%w)", c.dir, err)
		}
		return c.clearOld()
	}
	if errors.Is(err, fs.ErrPermission) {
		return fmt.Errorf("the data in %s belongs to another user: run this as the user who made it", c.data())
	}
	var b [24]byte
	_, _ = rand.Read(b[:]) // crypto/rand.Read never fails
	c.password = hex.EncodeToString(b[:])
	file := filepath.Join(c.dir, "password")
	if err := os.WriteFile(file, []byte(c.password+"\n"), 0o600); err != nil {
		return fmt.Errorf("write the database password: %w", err)
	}
	if err := os.RemoveAll(c.data()); err != nil { // half made by a start that was stopped
		return fmt.Errorf("clear %s: %w", c.data(), err)
	}
	if c.owner != nil {
		for _, path := range []string{c.dir, file} {
			if err := os.Chown(path, int(c.owner.Uid), int(c.owner.Gid)); err != nil {
				return fmt.Errorf("give %s to the user postgres: %w", path, err)
			}
		}
	}
	init := c.command("initdb", "-D", c.data(), "-U", "azzel", "--pwfile="+file, "--auth=scram-sha-256", "--encoding=UTF8", "--locale=C.UTF-8")
	if out, err := init.CombinedOutput(); err != nil {
		return fmt.Errorf("the database could not be made: %s", lastLine(string(out), err))
	}
	return nil
}

func lastLine(out string, err error) string {
	lines := strings.Split(strings.TrimSpace(out), "\n")
	if lines[0] == "" {
		return err.Error()
	}
	return lines[len(lines)-1]
}

// clearOld stops a PostgreSQL that an earlier run, killed, left on this folder.
func (c *Cluster) clearOld() error {
	text, err := os.ReadFile(filepath.Join(c.data(), "postmaster.pid"))
	if err != nil {
		return nil
	}
	pid, _ := strconv.Atoi(strings.SplitN(string(text), "\n", 2)[0])
	if name, err := os.ReadFile(fmt.Sprintf("/proc/%d/comm", pid)); err != nil || strings.TrimSpace(string(name)) != "postgres" {
		return nil
	}
	_ = syscall.Kill(pid, syscall.SIGINT)
	for range 200 {
		if syscall.Kill(pid, 0) != nil {
			return nil
		}
		time.Sleep(50 * time.Millisecond)
	}
	return fmt.Errorf("another PostgreSQL (process %d) still uses %s: stop it first", pid, c.data())
}

func (c *Cluster) command(name string, args ...string) *exec.Cmd {
	cmd := exec.Command(filepath.Join(c.bin, name), args...)
	cmd.Dir = "/"
	cmd.Env = append(os.Environ(), "LC_ALL=C.UTF-8", "TZ=UTC")
	// its own group, so that Ctrl+C reaches us and we stop it in order; and it
	// ends with us, should we be killed
	cmd.SysProcAttr = &syscall.SysProcAttr{Setpgid: true, Pdeathsig: syscall.SIGINT, Credential: c.owner}
	return cmd
}

// errStillUsed is given while processes of a server that was killed hold on to
// the data: they end by themselves a little later.
var errStillUsed = errors.New("processes of an earlier PostgreSQL still hold on to the data")

// run starts the server process and waits until it answers.
func (c *Cluster) run() error {
	for end := time.Now().Add(20 * time.Second); ; {
		err := c.attempt()
		if !errors.Is(err, errStillUsed) || time.Now().After(end) {
			return err
		}
		time.Sleep(100 * time.Millisecond)
	}
}

func (c *Cluster) attempt() error {
	logFile, err := os.OpenFile(filepath.Join(c.dir, "log"), os.O_CREATE|os.O_WRONLY|os.O_TRUNC, 0o644)
	if err != nil {
		return fmt.Errorf("the database's log cannot be written: %w", err)
	}
	cmd := c.command("postgres", "-D", c.data(), "-c", "listen_addresses=127.0.0.1", "-p", strconv.Itoa(c.port),
		"-c", "unix_socket_directories=", "-c", "fsync=on", "-c", "max_connections=200", "-c", "shared_buffers=128MB")
	cmd.Stdout, cmd.Stderr = logFile, logFile
	exited := make(chan struct{})
	started := make(chan error)
	go func() {
		runtime.LockOSThread() // Pdeathsig follows the thread that started the process
		defer runtime.UnlockOSThread()
		defer logFile.Close()
		err := cmd.Start()
		started <- err
		if err == nil {
			_ = cmd.Wait()
			close(exited)
		}
	}()
	if err := <-started; err != nil {
		return fmt.Errorf("PostgreSQL could not be started: %w", err)
	}
	c.mu.Lock()
	c.process, c.exited, c.stopped = cmd.Process, exited, false
	c.mu.Unlock()
	ctx, cancel := context.WithTimeout(context.Background(), 60*time.Second)
	defer cancel()
	for {
		conn, err := pgx.Connect(ctx, c.DSN("postgres"))
		if err == nil {
			return conn.Close(ctx)
		}
		select {
		case <-exited:
			text, _ := os.ReadFile(filepath.Join(c.dir, "log"))
			if strings.Contains(string(text), "Terminate any old server processes") {
				return fmt.Errorf("PostgreSQL stopped at its start: %w", errStillUsed)
			}
			return fmt.Errorf("PostgreSQL stopped at its start: %s", lastLine(string(text), err))
		case <-ctx.Done():
			return fmt.Errorf("PostgreSQL does not answer: %w", err)
		case <-time.After(30 * time.Millisecond):
		}
	}
}

// DSN is the address of a database of the cluster.
func (c *Cluster) DSN(database string) string {
	return fmt.Sprintf("host=127.0.0.1 port=%d user=azzel password=%s dbname=%s sslmode=disable connect_timeout=5", c.port, c.password, database)
}

// Create makes a database unless it is there; template may be empty.
func (c *Cluster) Create(ctx context.Context, name, template string) error {
	return Create(ctx, c.DSN("postgres"), name, template)
}

// Create makes a database on the server at dsn unless it is there.
func Create(ctx context.Context, dsn, name, template string) error {
	conn, err := pgx.Connect(ctx, dsn)
	if err != nil {
		return fmt.Errorf("connect to make a database: %w", err)
	}
	defer func() { _ = conn.Close(ctx) }()
	var there bool
	if err := conn.QueryRow(ctx, "SELECT EXISTS (SELECT 1 FROM pg_database WHERE datname = $1)", name).Scan(&there); err != nil || there {
		return err
	}
	sql := "CREATE DATABASE " + pgx.Identifier{name}.Sanitize()
	if template != "" {
		sql += " TEMPLATE " + pgx.Identifier{template}.Sanitize()
	}
	if _, err := conn.Exec(ctx, sql); err != nil {
		return fmt.Errorf("make the database %s: %w", name, err)
	}
	return nil
}

// Drop removes a database with the connections to it.
func (c *Cluster) Drop(ctx context.Context, name string) error {
	conn, err := pgx.Connect(ctx, c.DSN("postgres"))
	if err != nil {
		return fmt.Errorf("connect to remove a database: %w", err)
	}
	defer func() { _ = conn.Close(ctx) }()
	_, err = conn.Exec(ctx, "DROP DATABASE IF EXISTS "+pgx.Identifier{name}.Sanitize()+" WITH (FORCE)")
	return err
}

// Supervise starts PostgreSQL again, at the same address, should it end by
// itself, until Stop.
func (c *Cluster) Supervise(report func(error)) {
	go func() {
		for {
			c.mu.Lock()
			exited := c.exited
			c.mu.Unlock()
			<-exited
			c.mu.Lock()
			stopped := c.stopped
			c.mu.Unlock()
			if stopped {
				return
			}
			report(errors.New("the database ended; starting it again"))
			if err := c.run(); err != nil {
				report(err)
				time.Sleep(time.Second)
			}
		}
	}()
}

// Kill ends PostgreSQL at once, as a power cut would; Restart starts it again.
func (c *Cluster) Kill() {
	c.mu.Lock()
	process, exited := c.process, c.exited
	c.stopped = true
	c.mu.Unlock()
	// its helper processes see the postmaster go and end by themselves
	_ = syscall.Kill(-process.Pid, syscall.SIGKILL)
	<-exited
}

// Restart starts PostgreSQL again on the same data and port.
func (c *Cluster) Restart() error { return c.run() }

// stopWithin is how long PostgreSQL may take to stop in order; then it stops at once,
// and reads its log when it is started again.
const stopWithin = time.Second

// Stop ends PostgreSQL, within stopWithin or little more, and lets go of the folder.
func (c *Cluster) Stop() error {
	defer c.lock.Close()
	c.mu.Lock()
	c.stopped = true
	process, exited := c.process, c.exited
	c.mu.Unlock()
	if process == nil {
		return nil
	}
	for _, how := range []syscall.Signal{syscall.SIGINT, syscall.SIGQUIT} {
		_ = process.Signal(how)
		select {
		case <-exited:
			return nil
		case <-time.After(stopWithin):
		}
	}
	_ = process.Kill()
	return errors.New("PostgreSQL did not stop and was ended; what it has stored is safe")
}
