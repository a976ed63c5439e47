package e2e

import (
	"azzel/core/document"
	"azzel/core/sample"
	"context"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
	"github.com/jackc/pgx/v5"
)

func (r *rig) exec(sql string) {
	r.t.Helper()
	ctx := context.Background()
	conn, err := pgx.Connect(ctx, r.dsn)
	must(r.t, err)
	defer conn.Close(ctx)
	_, err = conn.Exec(ctx, sql)
	must(r.t, err)
}

// reloads does something after which the page loads itself anew, and waits for that.
func (k *tab) reloads(act func()) {
	k.Helper()
	loaded := k.page.Timeout(soon).WaitNavigation(proto.PageLifecycleEventNameLoad)
	act()
	loaded()
}

// A page that is open on a project which is made anew meanwhile says so, mixes
// nothing, and keeps what was not stored until the designer decides.
func TestProjectMadeAnewUnderAPage(t *testing.T) {
	r := world(t)
	k := r.open()
	k.holdTile(5)
	k.keys(input.KeyH)
	k.click(k.at(3, 3))
	k.saved()
	r.away()
	k.see("[data-testid=saved]", "Server away")
	k.click(k.at(4, 4))
	k.click(k.at(5, 4))
	k.see("[data-testid=saved]", "2 edits kept here")
	ctx := context.Background()
	must(t, r.store.RemoveProject(ctx, r.project))
	owner, _, err := r.store.NewPerson(ctx, "Owner")
	must(t, err)
	_, err = r.store.NewProject(ctx, document.ID(r.project), sample.World(), owner.ID)
	must(t, err)
	r.back()
	k.see("[data-testid=saved]", "Not saved any more")
	k.see("[data-testid=state-bar]", "2 edits of it are not in the project")
	k.click(k.at(6, 4))
	k.see("[data-testid=notice]", "Nothing can be changed on this page")
	k.stored(cellsAre(sample.Ground, 3, 3, 0, 4, 4, 0))
	k.reloads(func() { k.pressIn("[data-testid=state-bar] button", "Open it as it is now") })
	k.see("[data-testid=state-bar]", "2 edits kept in this browser belong to a former state")
	k.stored(cellsAre(sample.Ground, 3, 3, 0, 4, 4, 0))
	k.pressIn("[data-testid=state-bar] button", "Do them here")
	k.saved()
	k.stored(cellsAre(sample.Ground, 3, 3, 0, 4, 4, 5, 5, 4, 5))
	k.same()
}

// While the server has no room the strip says so; with room everything is stored.
func TestNoRoomOnTheServer(t *testing.T) {
	r := world(t)
	k := r.open()
	k.holdTile(5)
	k.keys(input.KeyH)
	r.exec(`CREATE FUNCTION full_disk() RETURNS trigger AS $$ BEGIN RAISE EXCEPTION 'could not extend file' USING ERRCODE = '53100'; END $$ LANGUAGE plpgsql;
		CREATE TRIGGER full_disk BEFORE INSERT ON edits EXECUTE FUNCTION full_disk()`)
	next := k.at(4, 3)
	k.click(k.at(3, 3))
	k.see("[data-testid=saved]", "No room: 1 kept here")
	k.see("[data-testid=state-bar]", "disk is full")
	k.eval(`async () => { for (let i = 0; i < 3; i++) await new Promise(requestAnimationFrame) }`)
	k.click(next) // the bar takes its room from the map, which stays under the hand
	k.see("[data-testid=saved]", "No room: 2 kept here")
	r.exec(`DROP TRIGGER full_disk ON edits`)
	k.saved()
	k.stored(cellsAre(sample.Ground, 3, 3, 5, 4, 3, 5))
	k.same()
}

// A project that cannot be read any more is opened as far as it can be, to look at,
// and goes on from an earlier state.
func TestUnreadableProjectIsLookedAt(t *testing.T) {
	r := world(t)
	k := r.open()
	k.holdTile(5)
	k.keys(input.KeyH)
	for x := range 4 {
		k.click(k.at(3+x, 3))
	}
	k.saved()
	r.away()
	r.exec(`UPDATE edits SET edit = 'gibberish' WHERE seq = 4`)
	r.back()
	k.visit("/p/" + r.project)
	k.see("[data-testid=saved]", "Only to look at")
	k.see("[data-testid=state-bar]", "edit 4")
	k.showsTile(3, 3, 5)
	k.holdTile(5)
	k.click(k.at(8, 8))
	k.see("[data-testid=notice]", "can only be looked at")
	k.pressIn("[data-testid=state-bar] button", "Earlier states")
	k.see("[data-testid=history]", "times")
	k.unfold()
	within(t, soon, func() error {
		return want("events", k.eval(`() => document.querySelectorAll('[data-testid=history] li').length`), "5")
	})
	k.reloads(func() { must(t, k.page.MustElement("[data-testid=history] li:nth-child(3) button").Click(left, 1)) })
	k.saved()
	k.stored(cellsAre(sample.Ground, 3, 3, 5, 4, 3, 5, 5, 3, 0, 6, 3, 0))
	k.same()
}
