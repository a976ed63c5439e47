package store

import (
	"azzel/core/document"
	"azzel/core/edit"
	"cmp"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strconv"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// commit stores a batch in one transaction under the project's row lock.
func (q *queue) commit(batch []job) (answers []Answer, head int64, err error) {
	q.docMu.Lock()
	defer q.docMu.Unlock()
	if answers, head, doc, ok, err := q.quick(batch); ok || err != nil {
		if err == nil {
			q.doc, q.encoded, q.seq = doc, nil, head
			q.keepSnapshot()
		}
		return answers, head, err
	}
	doc := q.doc
	answers = make([]Answer, len(batch))
	err = q.log.store.db.WithContext(q.log.ctx).Transaction(func(tx *gorm.DB) error {
		var p Project
		if err := found(tx.Clauses(clause.Locking{Strength: "UPDATE"}).Select("id", "head", "name", "born").Take(&p, "id = ?", q.project).Error); err != nil {
			return err
		}
		if doc, err = q.upTo(tx, p); err != nil {
			return err
		}
		marks := make([]edit.Mark, len(batch))
		for i, j := range batch {
			marks[i] = j.edit.Mark
		}
		known, err := knownMarks(tx, q.project, marks)
		if err != nil {
			return err
		}
		head = p.Head
		var rows []Row
		for i, j := range batch {
			if err := q.owned(tx, j); errors.Is(err, ErrOwner) {
				answers[i].Err = Refusal{err}
				continue
			} else if err != nil {
				return err
			}
			if seq, ok := known[j.edit.Mark]; ok {
				answers[i].Seq = seq
				continue
			}
			if len(j.edit.Do) == 0 {
				if j.edit, err = q.filled(tx, j); errors.Is(err, ErrNotFound) {
					answers[i].Err = Refusal{errors.New("what is to be turned back is not in the log")}
					continue
				} else if err != nil {
					return err
				}
			}
			res := edit.Apply(doc, j.edit)
			if err := cmp.Or(edit.Verify(j.edit, res), edit.Fits(res)); err != nil {
				answers[i].Err = Refusal{err}
				continue
			}
			head++
			doc = res.Doc
			answers[i].Seq, known[j.edit.Mark] = head, head
			rows = append(rows, rowOf(q.project, head, j, res))
		}
		if len(rows) == 0 {
			return nil
		}
		if err := tx.CreateInBatches(rows, 100).Error; err != nil {
			return fmt.Errorf("store edits: %w", err)
		}
		change := map[string]any{"head": head, "changed_at": gorm.Expr("now()")}
		if doc.Project.Name != p.Name {
			change["name"] = storable(doc.Project.Name)
		}
		if err := tx.Model(&Project{}).Where("id = ?", q.project).Updates(change).Error; err != nil {
			return fmt.Errorf("move the head: %w", err)
		}
		return tx.Exec("SELECT pg_notify(?, ?)", Channel, q.project+" "+strconv.FormatInt(head, 10)).Error
	})
	if err != nil {
		if !errors.Is(err, ErrNotFound) {
			err = fmt.Errorf("the edit could not be stored: %w", noRoom(err))
		}
		q.owners = map[document.ID]string{} // what was noted in this transaction is not
		return nil, 0, err
	}
	q.doc, q.encoded, q.seq = doc, nil, head
	q.keepSnapshot()
	return answers, head, nil
}

// filled is an undo that was sent without its steps, with the stored inverse of the
// edit that it names.
func (q *queue) filled(tx *gorm.DB, j job) (*edit.Edit, error) {
	var row Row
	of := j.edit.Label.Of
	err := tx.Select("revert", "format").Take(&row, "project_id = ? AND client = ? AND number = ? AND person_id = ?", q.project, string(of.Client), of.Number, j.person).Error
	if err != nil {
		return nil, found(err)
	}
	do, err := edit.ReadSteps(row.Revert, row.Format)
	if err != nil {
		return nil, fmt.Errorf("read an inverse: %w", err)
	}
	return &edit.Edit{V: edit.Version, Mark: j.edit.Mark, Label: j.edit.Label, Do: do}, nil
}

// owned finds whether an edit bears the name of a page of the person who sent it.
func (q *queue) owned(tx *gorm.DB, j job) error {
	if owner, ok := q.owners[j.edit.Client]; ok {
		if owner != j.person {
			return ErrOwner
		}
		return nil
	}
	if err := own(tx, q.project, j.edit.Client, j.person); err != nil {
		return err
	}
	q.owners[j.edit.Client] = j.person
	return nil
}

func rowOf(project string, seq int64, j job, res edit.Result) Row {
	revert := res.Revert
	if revert == nil {
		revert = []edit.Primitive{}
	}
	r := Row{ProjectID: project, Seq: seq, PersonID: j.person, Client: string(j.edit.Client), Number: j.edit.Number, Format: j.edit.V,
		Kind: j.edit.Label.Kind, Label: storable(j.edit.Label.Text), Tool: storable(j.edit.Label.Tool), Edit: j.edit.Text(), Revert: edit.JSON(revert), Changes: len(revert) > 0}
	if of := j.edit.Label.Of; of != nil {
		r.OfClient, r.OfNumber = storable(string(of.Client)), of.Number
	}
	return r
}

// knownMarks finds which edits the log holds, and under which numbers. The marks go as one value and are looked up one by one in
// the index of the log: a list of pairs in the statement would be held against every row of the project instead.
func knownMarks(tx *gorm.DB, project string, marks []edit.Mark) (map[edit.Mark]int64, error) {
	marks = slices.DeleteFunc(slices.Clone(marks), func(m edit.Mark) bool { return storable(string(m.Client)) != string(m.Client) })
	asked, err := json.Marshal(marks)
	if err != nil {
		return nil, fmt.Errorf("look for repeated edits: %w", err)
	}
	var rows []Row
	err = tx.Raw("SELECT edits.seq, edits.client, edits.number FROM json_to_recordset(?::json) AS asked (client text, number bigint) "+
		"JOIN edits ON edits.project_id = ? AND edits.client = asked.client AND edits.number = asked.number", string(asked), project).Scan(&rows).Error
	if err != nil {
		return nil, fmt.Errorf("look for repeated edits: %w", err)
	}
	known := map[edit.Mark]int64{}
	for _, r := range rows {
		known[edit.Mark{Client: document.ID(r.Client), Number: r.Number}] = r.Seq
	}
	return known, nil
}
