package store

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/upcast"
	"context"
	"crypto/rand"
	"crypto/sha256"
	"embed"
	"encoding/base64"
	"encoding/hex"
	"errors"
	"fmt"
	"io/fs"
	"strings"
	"time"
	"unicode/utf8"

	"github.com/jackc/pgx/v5/pgconn"
	"github.com/pressly/goose/v3"
	"gorm.io/driver/postgres"
	"gorm.io/gorm"
	"gorm.io/gorm/clause"
	"gorm.io/gorm/logger"
)

//go:embed migrations/*.sql
var migrations embed.FS

// Store is the database.
type Store struct {
	db   *gorm.DB
	dsn  string
	name string
}

// Errors that callers tell apart.
var (
	ErrNotFound = errors.New("this project or picture is not here")
	ErrRole     = errors.New("you can look at this project but not change it")
	// ErrOwner is given for edits in the name of a page that is somebody else's.
	ErrOwner = errors.New("this edit bears the name of somebody else's page: reload yours")
	// ErrFull is given while the database's disk has no room.
	ErrFull = errors.New("the server's disk is full: free some room there; your work is kept in this browser until then")
)

// codeDiskFull is PostgreSQL's code of a disk without room.
const codeDiskFull = "53100"

// noRoom makes errors that tell of a full disk ErrFull.
func noRoom(err error) error {
	var pg *pgconn.PgError
	if errors.As(err, &pg) && pg.Code == codeDiskFull {
		return fmt.Errorf("%w (%w)", ErrFull, err)
	}
	return err
}

// Open connects and brings the tables up to date.
func Open(ctx context.Context, dsn string) (*Store, error) {
	db, err := gorm.Open(postgres.Open(dsn), &gorm.Config{Logger: logger.Discard, SkipDefaultTransaction: true, PrepareStmt: true})
	if err != nil {
		return nil, fmt.Errorf("connect to the database: %w", err)
	}
	pool, err := db.DB()
	if err != nil {
		return nil, fmt.Errorf("database pool: %w", err)
	}
	pool.SetMaxOpenConns(16)
	pool.SetMaxIdleConns(8)
	files, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return nil, fmt.Errorf("migrations: %w", err)
	}
	provider, err := goose.NewProvider(goose.DialectPostgres, pool, files)
	if err != nil {
		return nil, fmt.Errorf("migrations: %w", err)
	}
	if _, err := provider.Up(ctx); err != nil {
		return nil, fmt.Errorf("bring the tables up to date: %w", err)
	}
	s := &Store{db: db, dsn: dsn}
	if err := db.WithContext(ctx).Table("installation").Select("name").Take(&s.name).Error; err != nil {
		return nil, fmt.Errorf("read the installation's name: %w", err)
	}
	return s, nil
}

// Name tells this database from others.
func (s *Store) Name() string { return s.name }

// Close ends all connections.
func (s *Store) Close() error {
	pool, err := s.db.DB()
	if err != nil {
		return err
	}
	return pool.Close()
}

func hashed(token string) []byte {
	sum := sha256.Sum256([]byte(token))
	return sum[:]
}

// NewPerson makes a person and the token that proves who they are.
func (s *Store) NewPerson(ctx context.Context, name string) (Person, string, error) {
	var b [32]byte
	_, _ = rand.Read(b[:]) // crypto/rand.Read never fails
	token := base64.RawURLEncoding.EncodeToString(b[:])
	p := Person{ID: string(document.NewID()), TokenHash: hashed(token), Name: name}
	if err := s.db.WithContext(ctx).Create(&p).Error; err != nil {
		return p, "", fmt.Errorf("store a person: %w", err)
	}
	return p, token, nil
}

// PersonByToken finds who a token belongs to.
func (s *Store) PersonByToken(ctx context.Context, token string) (Person, error) {
	var p Person
	err := s.db.WithContext(ctx).Where("token_hash = ?", hashed(token)).Take(&p).Error
	return p, found(err)
}

func found(err error) error {
	if errors.Is(err, gorm.ErrRecordNotFound) {
		return ErrNotFound
	}
	return err
}

// Projects lists the projects, the one changed last first.
func (s *Store) Projects(ctx context.Context) ([]Project, error) {
	all := []Project{}
	err := s.db.WithContext(ctx).Order("changed_at DESC, id").Find(&all).Error
	return all, err
}

// NewProject stores a project that begins as doc, owned by a person.
func (s *Store) NewProject(ctx context.Context, id document.ID, doc *document.Document, owner string) (Project, error) {
	if err := doc.Project.Check(); err != nil {
		return Project{}, err
	}
	next := 1
	for _, t := range doc.Tilesets.All() {
		next = max(next, t.Number+1)
	}
	for _, m := range doc.Materials.All() {
		next = max(next, m.Number+1)
	}
	for _, z := range doc.Zones.All() {
		next = max(next, z.Number+1)
	}
	p := Project{ID: string(id), Name: doc.Project.Name, NextTileset: next}
	err := s.db.WithContext(ctx).Transaction(func(tx *gorm.DB) error {
		if err := tx.Create(&p).Error; err != nil {
			return err
		}
		if err := tx.Create(&Member{p.ID, owner, RoleOwner}).Error; err != nil {
			return err
		}
		return tx.Create(&Snapshot{p.ID, 0, cells.Pack(doc.Encode())}).Error
	})
	if err != nil {
		return p, fmt.Errorf("store a project: %w", err)
	}
	return p, nil
}

// Project finds a project.
func (s *Store) Project(ctx context.Context, id string) (Project, error) {
	var p Project
	err := s.db.WithContext(ctx).Take(&p, "id = ?", id).Error
	return p, found(err)
}

// RemoveProject removes a project with its log.
func (s *Store) RemoveProject(ctx context.Context, id string) error {
	return s.db.WithContext(ctx).Delete(&Project{ID: id}).Error
}

// Join gives a person's role in a project; who opens one for the first time becomes an editor.
func (s *Store) Join(ctx context.Context, project, person string) (string, error) {
	var p Project
	if err := found(s.db.WithContext(ctx).Select("id").Take(&p, "id = ?", project).Error); err != nil {
		return "", err
	}
	m := Member{project, person, RoleEditor}
	if err := s.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&m).Error; err != nil {
		return "", fmt.Errorf("join a project: %w", err)
	}
	err := s.db.WithContext(ctx).Take(&m, "project_id = ? AND person_id = ?", project, person).Error
	return m.Role, found(err)
}

// SavePicture keeps a normalised PNG and gives its SHA-256 in hexadecimal.
func (s *Store) SavePicture(ctx context.Context, png []byte, width, height int) (string, error) {
	sum := sha256.Sum256(png)
	p := Picture{SHA: hex.EncodeToString(sum[:]), PNG: png, Width: width, Height: height}
	err := s.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&p).Error
	if err != nil {
		return "", fmt.Errorf("store a picture: %w", err)
	}
	return p.SHA, nil
}

// PictureBytes gives a stored PNG.
func (s *Store) PictureBytes(ctx context.Context, sha string) ([]byte, error) {
	var p Picture
	err := s.db.WithContext(ctx).Select("png").Take(&p, "sha = ?", sha).Error
	return p.PNG, found(err)
}

// PictureSizes gives the width and height, in pixels, of stored pictures, as often
// as each is named.
func (s *Store) PictureSizes(ctx context.Context, shas []string) ([][2]int, error) {
	var rows []Picture
	if err := s.db.WithContext(ctx).Select("sha", "width", "height").Where("sha IN ?", shas).Find(&rows).Error; err != nil {
		return nil, fmt.Errorf("measure pictures: %w", err)
	}
	known := map[string][2]int{}
	for _, p := range rows {
		known[p.SHA] = [2]int{p.Width, p.Height}
	}
	out := make([][2]int, len(shas))
	for i, sha := range shas {
		size, ok := known[sha]
		if !ok {
			return nil, ErrNotFound
		}
		out[i] = size
	}
	return out, nil
}

// ReserveNumber gives a number, never given again, that cells of a project call a
// tileset, material or zone by.
func (s *Store) ReserveNumber(ctx context.Context, project string) (int, error) {
	var p Project
	err := s.db.WithContext(ctx).Model(&p).Clauses(clause.Returning{Columns: []clause.Column{{Name: "next_tileset"}}}).
		Where("id = ? AND next_tileset <= ?", project, document.MaxTilesets).
		Update("next_tileset", gorm.Expr("next_tileset + 1")).Error
	if err != nil {
		return 0, fmt.Errorf("reserve a number: %w", err)
	}
	if p.NextTileset == 0 {
		return 0, fmt.Errorf("a project has at most %d tilesets, materials and zones", document.MaxTilesets)
	}
	return p.NextTileset - 1, nil
}

// maxRead is how many bytes of edits are read at once; one edit is always read.
const maxRead = 4 << 20

// Rows gives the log of a project after an edit number, oldest first: at most limit
// rows, and no more than a few megabytes of them.
func (s *Store) Rows(ctx context.Context, project string, after int64, limit int) ([]Row, error) {
	return rowsAfter(s.db.WithContext(ctx), project, after, limit)
}

func rowsAfter(db *gorm.DB, project string, after int64, limit int) ([]Row, error) {
	var sizes []struct{ Seq, Size int64 }
	err := db.Model(&Row{}).Select("seq", "octet_length(edit) AS size").Where("project_id = ? AND seq > ?", project, after).
		Order("seq").Limit(limit).Scan(&sizes).Error
	if err != nil {
		return nil, fmt.Errorf("read the log: %w", err)
	}
	if len(sizes) == 0 {
		return nil, nil
	}
	last, sum := sizes[0].Seq, sizes[0].Size
	for _, s := range sizes[1:] {
		if sum += s.Size; sum > maxRead {
			break
		}
		last = s.Seq
	}
	var rows []Row
	err = db.Omit("revert").Where("project_id = ? AND seq > ? AND seq <= ?", project, after, last).Order("seq").Find(&rows).Error
	if err != nil {
		return nil, fmt.Errorf("read the log: %w", err)
	}
	for i := range rows {
		if err := rows[i].upgrade(); err != nil {
			return nil, err
		}
	}
	return rows, nil
}

// upgrade brings what an earlier version stored to the present format.
func (r *Row) upgrade() error {
	if r.Format == edit.Version {
		return nil
	}
	raw, err := upcast.Edit(r.Edit)
	if err != nil {
		return fmt.Errorf("edit %d of the log: %w", r.Seq, err)
	}
	r.Edit, r.Format = raw, edit.Version
	return nil
}

// Edit gives one edit of the log.
func (s *Store) Edit(ctx context.Context, project string, seq int64) (*edit.Edit, error) {
	var row Row
	if err := s.db.WithContext(ctx).Select("edit").Take(&row, "project_id = ? AND seq = ?", project, seq).Error; err != nil {
		return nil, found(err)
	}
	e, err := edit.Read(row.Edit)
	if err != nil {
		return nil, fmt.Errorf("read edit %d: %w", seq, err)
	}
	return e, nil
}

// Revert gives the way back of one edit, as JSON.
func (s *Store) Revert(ctx context.Context, project string, seq int64) ([]byte, error) {
	var row Row
	err := s.db.WithContext(ctx).Select("revert", "format").Take(&row, "project_id = ? AND seq = ?", project, seq).Error
	if err != nil {
		return nil, found(err)
	}
	return upcast.Steps(row.Revert, row.Format)
}

// Last is the mark of the edit with a number, by which a page finds out whether it
// and the log still have the same past; the zero mark for number 0.
func (s *Store) Last(ctx context.Context, project string, seq int64) (edit.Mark, error) {
	if seq == 0 {
		return edit.Mark{}, nil
	}
	var row Row
	err := s.db.WithContext(ctx).Select("client", "number").Take(&row, "project_id = ? AND seq = ?", project, seq).Error
	return edit.Mark{Client: document.ID(row.Client), Number: row.Number}, found(err)
}

// Own gives a page's name in a project to a person, or ErrOwner when it is
// somebody else's.
func (s *Store) Own(ctx context.Context, project string, client document.ID, person string) error {
	return own(s.db.WithContext(ctx), project, client, person)
}

func own(db *gorm.DB, project string, client document.ID, person string) error {
	c := Client{project, string(client), person}
	if err := db.Clauses(clause.OnConflict{DoNothing: true}).Create(&c).Error; err != nil {
		return fmt.Errorf("note whose page this is: %w", noRoom(err))
	}
	if err := db.Take(&c, "project_id = ? AND client = ?", project, string(client)).Error; err != nil {
		return found(err)
	}
	if c.PersonID != person {
		return ErrOwner
	}
	return nil
}

// Stored gives those of some edits that the log holds already.
func (s *Store) Stored(ctx context.Context, project string, marks []edit.Mark) ([]edit.Mark, error) {
	known, err := knownMarks(s.db.WithContext(ctx), project, marks)
	if err != nil {
		return nil, err
	}
	out := []edit.Mark{}
	for _, m := range marks {
		if known[m] > 0 {
			out = append(out, m)
		}
	}
	return out, nil
}

// Past is one entry of a person's history, without its way back.
type Past struct {
	Mark edit.Mark `json:"mark"`
	Seq  int64     `json:"seq"`
	Text string    `json:"text"`
	Tool string    `json:"tool,omitempty"`
}

// History gives what a person can undo and redo, oldest first, up to an edit number.
func (s *Store) History(ctx context.Context, project, person string, upTo int64) (undo, redo []Past, err error) {
	var rows []Row
	err = s.db.WithContext(ctx).Select("seq", "client", "number", "kind", "of_client", "of_number", "label", "tool").
		Where("project_id = ? AND person_id = ? AND seq <= ? AND changes", project, person, upTo).Order("seq").Find(&rows).Error
	if err != nil {
		return nil, nil, fmt.Errorf("read the history: %w", err)
	}
	undo, redo = []Past{}, []Past{}
	drop := func(stack []Past, r Row) []Past {
		for i := len(stack) - 1; i >= 0; i-- {
			if string(stack[i].Mark.Client) == r.OfClient && stack[i].Mark.Number == r.OfNumber {
				return append(stack[:i], stack[i+1:]...)
			}
		}
		return stack
	}
	for _, r := range rows {
		past := Past{edit.Mark{Client: document.ID(r.Client), Number: r.Number}, r.Seq, r.Label, r.Tool}
		switch r.Kind {
		case edit.Do:
			undo, redo = append(undo, past), redo[:0]
		case edit.Undo:
			undo, redo = drop(undo, r), append(redo, past)
		case edit.Redo:
			undo, redo = append(undo, past), drop(redo, r)
		}
	}
	return undo, redo, nil
}

// Event is one edit of the log as people read it.
type Event struct {
	Seq    int64     `json:"seq"`
	Person string    `json:"person"`
	Name   string    `json:"name"`
	Kind   string    `json:"kind"`
	Text   string    `json:"text"`
	At     time.Time `json:"at"`
}

// Events lists the edits of a project before an edit number, the latest first.
func (s *Store) Events(ctx context.Context, project string, before int64, limit int) ([]Event, error) {
	out := []Event{}
	err := s.db.WithContext(ctx).Table("edits").
		Select("edits.seq, edits.person_id AS person, people.name, edits.kind, edits.label AS text, edits.created_at AS at").
		Joins("JOIN people ON people.id = edits.person_id").
		Where("edits.project_id = ? AND edits.seq < ? AND edits.changes", project, before).
		Order("edits.seq DESC").Limit(limit).Scan(&out).Error
	if err != nil {
		return nil, fmt.Errorf("read the history: %w", err)
	}
	return out, nil
}

// Ready waits until the database answers, for as long as ctx allows.
func (s *Store) Ready(ctx context.Context) error {
	for {
		err := s.db.WithContext(ctx).Exec("SELECT 1").Error
		if err == nil {
			return nil
		}
		select {
		case <-ctx.Done():
			return err
		case <-time.After(20 * time.Millisecond):
		}
	}
}

// storable is text as the database takes it: valid UTF-8 without zero bytes.
func storable(text string) string {
	if !utf8.ValidString(text) {
		text = strings.ToValidUTF8(text, "�")
	}
	return strings.ReplaceAll(text, "\x00", "")
}
