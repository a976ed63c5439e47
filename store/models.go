// Package store keeps what must last in PostgreSQL: people, projects, pictures,
// and the log of edits with snapshots. Nothing is kept a row a cell or entity.
package store

import "time"

// Person is somebody who designs; the token in their cookie is stored hashed.
type Person struct {
	ID        string `gorm:"primaryKey"`
	TokenHash []byte
	Name      string
	CreatedAt time.Time
}

// TableName is the table of people.
func (Person) TableName() string { return "people" }

// Project is one game; Head is the number of its last edit.
type Project struct {
	ID          string `gorm:"primaryKey" json:"id"`
	Name        string `json:"name"`
	Head        int64  `json:"head"`
	NextTileset int    `json:"-"`
	// Born tells a project from a former one of the same id.
	Born      string    `gorm:"default:md5(random()::text || clock_timestamp()::text)" json:"-"`
	CreatedAt time.Time `json:"created"`
	ChangedAt time.Time `gorm:"default:now()" json:"changed"`
	// RemovedAt is when it was put away; it can be brought back until it is deleted for good.
	RemovedAt *time.Time `json:"removed"`
}

// Roles of a member.
const (
	RoleOwner  = "owner"
	RoleEditor = "editor"
	RoleViewer = "viewer"
)

// Member is a person's part in a project.
type Member struct {
	ProjectID string `gorm:"primaryKey"`
	PersonID  string `gorm:"primaryKey"`
	Role      string
}

// Picture is a normalised PNG by the SHA-256 of its bytes.
type Picture struct {
	SHA       string `gorm:"primaryKey;column:sha"`
	PNG       []byte `gorm:"column:png"`
	Width     int
	Height    int
	CreatedAt time.Time
}

// Sound is the file of a sound by the SHA-256 of its bytes.
type Sound struct {
	SHA       string `gorm:"primaryKey;column:sha"`
	File      []byte
	Form      string
	Lasts     int
	CreatedAt time.Time
}

// Client is a page's name in a project, and whose page it is.
type Client struct {
	ProjectID string `gorm:"primaryKey"`
	Client    string `gorm:"primaryKey"`
	PersonID  string
}

// Row is one edit of the log.
type Row struct {
	ProjectID string `gorm:"primaryKey"`
	Seq       int64  `gorm:"primaryKey;autoIncrement:false"`
	PersonID  string
	Client    string
	Number    int64
	Format    int
	Kind      string
	OfClient  string
	OfNumber  int64
	Label     string
	Tool      string
	Edit      []byte
	Revert    []byte
	// Changes is false when all parts of the edit had lost their target.
	Changes   bool
	CreatedAt time.Time
}

// TableName is the table of the log.
func (Row) TableName() string { return "edits" }

// Snapshot is the whole document after edit Seq, packed.
type Snapshot struct {
	ProjectID string `gorm:"primaryKey"`
	Seq       int64  `gorm:"primaryKey;autoIncrement:false"`
	State     []byte
}

// Found is what was found out of a project with a hash.
type Found struct {
	Hash      string `gorm:"primaryKey"`
	Question  string `gorm:"primaryKey"`
	Answer    []byte
	CreatedAt time.Time
}

// TableName is what its rows are kept in.
func (Found) TableName() string { return "answers" }
