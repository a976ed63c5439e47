package cluster

import (
	"fmt"
	"io"
	"os"
	"path/filepath"
	"strings"
	"syscall"
)

func (r Running) Error() string {
	return "another Azzel uses this folder's database: end it first, or work in a copy of the folder"
}

// takeLock keeps other processes from the folder until this one ends, however it ends.
func (c *Cluster) takeLock() error {
	file, err := os.OpenFile(filepath.Join(c.dir, "lock"), os.O_CREATE|os.O_RDWR, 0o644)
	if err != nil {
		return fmt.Errorf("the folder %s cannot be written to: run this as the user who made it (%w)", c.dir, err)
	}
	if err := syscall.Flock(int(file.Fd()), syscall.LOCK_EX|syscall.LOCK_NB); err != nil {
		note, _ := io.ReadAll(io.LimitReader(file, 1000))
		_ = file.Close()
		return Running{strings.TrimSpace(string(note))}
	}
	c.lock = file
	return c.Note("")
}

// Note leaves a line for whoever starts the cluster of this folder a second time.
func (c *Cluster) Note(line string) error {
	if err := c.lock.Truncate(0); err != nil {
		return fmt.Errorf("leave a note: %w", err)
	}
	_, err := c.lock.WriteAt([]byte(line), 0)
	return err
}
