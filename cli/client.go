package cli

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"net/url"

	"azzel/core/format"
)

func newJar() http.CookieJar {
	jar, err := cookiejar.New(nil)
	if err != nil {
		panic(err) // it has no options that could be wrong
	}
	return jar
}

// greet makes somebody of this command, as the server knows designers.
func (c *client) greet() error {
	data, err := c.ask("GET", "/api/session", nil)
	if err != nil {
		return err
	}
	var session struct{ TokenCookie string }
	if err := json.Unmarshal(data, &session); err != nil {
		return fmt.Errorf("%s is no Azzel: %w", c.base, err)
	}
	u, err := url.Parse(c.base)
	if err != nil {
		return err
	}
	for _, k := range c.http.Jar.Cookies(u) {
		if k.Name == session.TokenCookie {
			c.token = k.Value
		}
	}
	return nil
}

// ask sends a request; what the server says is wrong is its own sentence.
func (c *client) ask(method, path string, body []byte) ([]byte, error) {
	request, err := http.NewRequest(method, c.base+path, bytes.NewReader(body))
	if err != nil {
		return nil, fmt.Errorf("ask %s: %w", c.base, err)
	}
	if c.token != "" {
		request.Header.Set("X-Csrf-Token", c.token)
	}
	answer, err := c.http.Do(request)
	if err != nil {
		return nil, fmt.Errorf("no Azzel answers at %s: start it first", c.base)
	}
	defer answer.Body.Close()
	data, err := io.ReadAll(io.LimitReader(answer.Body, format.MaxUnpacked))
	if err != nil {
		return nil, fmt.Errorf("read from %s: %w", c.base, err)
	}
	if answer.StatusCode >= 300 {
		var said struct{ Error string }
		if json.Unmarshal(data, &said) == nil && said.Error != "" {
			return nil, errors.New(said.Error)
		}
		return nil, fmt.Errorf("%s answered %d", c.base, answer.StatusCode)
	}
	return data, nil
}
