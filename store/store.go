package store

import (
	"azzel/core/cells"
	"azzel/core/document"
	"context"
	"crypto/rand"
	"crypto/sha256"
	"embed"
	"encoding/base64"
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
	p := Project{ID: string(id), Name: doc.Project.Name, NextTileset: doc.LargestNumber() + 1}
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

// PutAway hides a project, or brings it back.
func (s *Store) PutAway(ctx context.Context, id string, away bool) error {
	to := any(nil)
	if away {
		to = gorm.Expr("now()")
	}
	return one(s.db.WithContext(ctx).Model(&Project{}).Where("id = ?", id).UpdateColumn("removed_at", to))
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
