package server

import (
	"net"
	"sync"
)

// connections remembers what a listener accepted, so that at the end nothing of it
// stays open: a browser opens some that it may use much later.
type connections struct {
	net.Listener
	mu   sync.Mutex
	open map[*connection]bool
}

type connection struct {
	net.Conn
	of *connections
}

func (l *connections) Accept() (net.Conn, error) {
	conn, err := l.Listener.Accept()
	if err != nil {
		return nil, err
	}
	c := &connection{conn, l}
	l.mu.Lock()
	defer l.mu.Unlock()
	l.open[c] = true
	return c, nil
}

func (c *connection) Close() error {
	c.of.mu.Lock()
	delete(c.of.open, c)
	c.of.mu.Unlock()
	return c.Conn.Close()
}

func (l *connections) closeAll() {
	l.mu.Lock()
	all := make([]*connection, 0, len(l.open))
	for c := range l.open {
		all = append(all, c)
	}
	l.mu.Unlock()
	for _, c := range all {
		_ = c.Close()
	}
}
