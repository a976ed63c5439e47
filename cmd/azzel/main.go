// Command azzel serves Azzel, and works on projects as files.
package main

import (
	"azzel/cli"
	"azzel/demo"
	"azzel/server"
	"azzel/store"
	"azzel/store/cluster"
	"context"
	"errors"
	"flag"
	"fmt"
	"net"
	"os"
	"os/exec"
	"os/signal"
	"path/filepath"
	"strings"
	"syscall"

	"github.com/spf13/cobra"
)

func main() {
	root := root()
	err := root.Execute()
	var exit *exec.ExitError
	switch {
	case err == nil:
	case errors.As(err, &exit):
		os.Exit(exit.ExitCode())
	default:
		if !cli.Quiet(err) {
			fmt.Fprintln(os.Stderr, "azzel:", err)
		}
		os.Exit(cli.Code(err))
	}
}

// run does what a command line says.
func run(args []string) error {
	c := root()
	c.SetArgs(args)
	return c.Execute()
}

func root() *cobra.Command {
	c := &cobra.Command{
		Use:   "azzel",
		Short: "Design 2D and top-down games: serve the workshop, or work on projects as files",
		Long: "Azzel serves its workshop to the browser, and works on projects as files without a server and a database.\n" +
			"Exit codes: 0 all is well, 1 something was found or differs, 2 the command could not do its work.",
		SilenceUsage:  true,
		SilenceErrors: true,
	}
	served := func(use, short, example string, do func(ctx context.Context, args []string) error) {
		c.AddCommand(&cobra.Command{Use: use, Short: short, Example: example, DisableFlagParsing: true, RunE: func(_ *cobra.Command, args []string) error {
			// demo and with-database end in order on Ctrl+C and when they are told to stop
			ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM, syscall.SIGHUP)
			defer stop()
			if err := do(ctx, args); !errors.Is(err, flag.ErrHelp) {
				return err
			}
			return nil // what there is was said
		}})
	}
	served("demo", "Serve the demo project with a private database", "  azzel demo --fresh\n  azzel demo --port 8080", runDemo)
	served("serve", "Serve with a database of your own", "  azzel serve --database-file address.txt --listen 127.0.0.1:7420", runServe)
	served("with-database", "Run a command with AZZEL_DATABASE set to a private database", "  azzel with-database go test ./store", withDatabase)
	c.AddCommand(cli.Commands()...)
	return c
}

// privateCluster starts the database of this checkout and keeps it running.
func privateCluster(name string) (*cluster.Cluster, error) {
	here, err := os.Getwd()
	if err != nil {
		return nil, fmt.Errorf("find this folder: %w", err)
	}
	c, err := cluster.Start(filepath.Join(cluster.Folder(here), name))
	if err != nil {
		return nil, err
	}
	c.Supervise(func(err error) { fmt.Fprintln(os.Stderr, "azzel:", err) })
	return c, nil
}

func runDemo(ctx context.Context, args []string) error {
	flags := flag.NewFlagSet("demo", flag.ContinueOnError)
	fresh := flags.Bool("fresh", false, "put the demo project back as it was")
	port := flags.Int("port", 7420, "port to listen on; another is taken when it is in use")
	if err := flags.Parse(args); err != nil {
		return err
	}
	c, err := privateCluster("demo")
	var running cluster.Running
	if errors.As(err, &running) {
		if running.Note == "" {
			return errors.New("another start is under way in this folder: wait a moment")
		}
		fmt.Printf("Azzel runs here already: open %s\n", running.Note)
		return nil
	}
	if err != nil {
		return err
	}
	defer stopCluster(c)
	if err := c.Create(ctx, "azzel", ""); err != nil {
		return err
	}
	st, err := store.Open(ctx, c.DSN("azzel"))
	if err != nil {
		return err
	}
	defer func() { _ = st.Close() }()
	if err := demo.Load(ctx, st, *fresh); err != nil {
		return err
	}
	l, err := net.Listen("tcp", fmt.Sprintf("127.0.0.1:%d", *port))
	if err != nil {
		if l, err = net.Listen("tcp", "127.0.0.1:0"); err != nil {
			return fmt.Errorf("no port on this machine can be listened on: %w", err)
		}
	}
	path := "/p/" + string(demo.ProjectID)
	if err := c.Note("http://" + l.Addr().String() + path); err != nil {
		return err
	}
	return serve(ctx, st, l, path)
}

func runServe(ctx context.Context, args []string) error {
	flags := flag.NewFlagSet("serve", flag.ContinueOnError)
	file := flags.String("database-file", "", "file that holds the address of the PostgreSQL database; else AZZEL_DATABASE does")
	listen := flags.String("listen", "127.0.0.1:7420", "address to listen on")
	if err := flags.Parse(args); err != nil {
		return err
	}
	// not on the command line: every user of the machine could read its password there
	dsn := os.Getenv("AZZEL_DATABASE")
	if *file != "" {
		text, err := os.ReadFile(*file)
		if err != nil {
			return fmt.Errorf("--database-file names a file that can be read: %w", err)
		}
		dsn = strings.TrimSpace(string(text))
	}
	if dsn == "" {
		return errors.New("give the database's address in AZZEL_DATABASE or in a file named with --database-file")
	}
	host, _, err := net.SplitHostPort(*listen)
	if err != nil {
		return fmt.Errorf("--listen takes an address like 127.0.0.1:7420: %w", err)
	}
	if ip := net.ParseIP(host); host != "localhost" && (ip == nil || !ip.IsLoopback()) {
		return errors.New("designers are known by a cookie without a password, so only loopback is listened on: use 127.0.0.1")
	}
	st, err := store.Open(ctx, dsn)
	if err != nil {
		return err
	}
	defer func() { _ = st.Close() }()
	l, err := net.Listen("tcp", *listen)
	if err != nil {
		return fmt.Errorf("%s cannot be listened on: %w", *listen, err)
	}
	return serve(ctx, st, l, "/")
}

// serve answers until ctx ends.
func serve(ctx context.Context, st *store.Store, l net.Listener, path string) error {
	s := server.New(st)
	ended := make(chan error, 1)
	go func() { ended <- s.Serve(l) }()
	fmt.Printf("Azzel is ready: open http://%s%s\n", l.Addr(), path)
	select {
	case err := <-ended:
		return err
	case <-ctx.Done():
		fmt.Println("Stopping.")
		return s.Close()
	}
}

func stopCluster(c *cluster.Cluster) {
	if err := c.Stop(); err != nil {
		fmt.Fprintln(os.Stderr, "azzel:", err)
	}
}

// withDatabase runs a command beside a private database for tests.
func withDatabase(ctx context.Context, args []string) error {
	if len(args) == 0 {
		return errors.New("with-database needs a command to run")
	}
	c, err := privateCluster("test")
	if err != nil {
		return err
	}
	defer stopCluster(c)
	cmd := exec.CommandContext(ctx, args[0], args[1:]...)
	cmd.Cancel = func() error { return cmd.Process.Signal(os.Interrupt) }
	cmd.Stdout, cmd.Stderr = os.Stdout, os.Stderr
	cmd.Env = append(os.Environ(), "AZZEL_DATABASE="+c.DSN("postgres"))
	return cmd.Run()
}
