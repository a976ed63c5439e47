package store

import (
	"azzel/core/document"
	"azzel/core/edit"
	"cmp"
	"errors"
	"fmt"
	"strconv"
	"strings"

	"github.com/jackc/pgx/v5/pgconn"
)

// codeTwice is PostgreSQL's code of a row that is there already.
const codeTwice = "23505"

// maxQuick is how many edits quick stores at once: the statement of each number is kept prepared.
const maxQuick = 64

// quickColumns are the columns of a row of the log that quick writes, with their types.
var quickColumns = [][2]string{{"seq", "bigint"}, {"person_id", "text"}, {"client", "text"}, {"number", "bigint"}, {"format", "integer"}, {"kind", "text"},
	{"of_client", "text"}, {"of_number", "bigint"}, {"label", "text"}, {"tool", "text"}, {"edit", "bytea"}, {"revert", "bytea"}, {"changes", "boolean"}}

// quickHead and quickTail are what stands before and behind the rows.
var quickHead, quickTail, quickRow = func() (head, tail, row string) {
	var names, values, marks []string
	for _, c := range quickColumns {
		names, values, marks = append(names, c[0]), append(values, "v."+c[0]), append(marks, "?::"+c[1])
	}
	head = "WITH moved AS (UPDATE projects SET head = ?, changed_at = now(), name = ? WHERE id = ? AND head = ? AND born = ? RETURNING id), " +
		"kept AS (INSERT INTO edits (project_id, " + strings.Join(names, ", ") + ") SELECT moved.id, " + strings.Join(values, ", ") + " FROM moved, (VALUES "
	return head, ") AS v(" + strings.Join(names, ", ") + ")) SELECT pg_notify(?, ?)::text FROM moved", "(" + strings.Join(marks, ", ") + ")"
}()

// quick stores a batch in one statement, where nobody else has stored anything since this process saw the project last: the head
// moves only from the number that is known here, under the row's lock, with the rows behind it. ok is false where that is not so, and
// where an edit might be a repeat, is refused, or wants something looked up: commit goes through it then.
func (q *queue) quick(batch []job) (answers []Answer, head int64, doc *document.Document, ok bool, err error) {
	if q.doc == nil || len(batch) > maxQuick {
		return nil, 0, nil, false, nil
	}
	doc, head = q.doc, q.seq
	answers = make([]Answer, len(batch))
	rows := make([]Row, len(batch))
	for i, j := range batch {
		if owner, known := q.owners[j.edit.Client]; !known || owner != j.person || len(j.edit.Do) == 0 {
			return nil, 0, nil, false, nil
		}
		res := edit.Apply(doc, j.edit)
		if cmp.Or(edit.Verify(j.edit, res), edit.Fits(res)) != nil {
			return nil, 0, nil, false, nil
		}
		head++
		doc, answers[i].Seq = res.Doc, head
		rows[i] = rowOf(q.project, head, j, res)
	}
	var sql strings.Builder
	sql.WriteString(quickHead)
	args := []any{head, storable(doc.Project.Name), q.project, q.seq, q.born}
	for i, r := range rows {
		if i > 0 {
			sql.WriteString(", ")
		}
		sql.WriteString(quickRow)
		args = append(args, r.Seq, r.PersonID, r.Client, r.Number, r.Format, r.Kind, r.OfClient, r.OfNumber, r.Label, r.Tool, r.Edit, r.Revert, r.Changes)
	}
	sql.WriteString(quickTail)
	args = append(args, Channel, q.project+" "+strconv.FormatInt(head, 10))
	var told []string
	if err := q.log.store.db.WithContext(q.log.ctx).Raw(sql.String(), args...).Scan(&told).Error; err != nil {
		if pg := (*pgconn.PgError)(nil); errors.As(err, &pg) && pg.Code == codeTwice {
			return nil, 0, nil, false, nil
		}
		return nil, 0, nil, false, fmt.Errorf("the edit could not be stored: %w", noRoom(err))
	}
	return answers, head, doc, len(told) > 0, nil
}
