package proof

import (
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"fmt"
	"slices"
)

// What is tried at the most to find whether keys run out: so many locks, and so many ways of spending keys on them.
const (
	maxLocks    = 64
	maxSpending = 1000
	// spendingWork is how many things are looked at in all of it.
	spendingWork = 40_000_000
)

// lock is a door or a container that is opened by a key which is used up.
type lock struct {
	of   world.Ref
	word string
}

// keyring tells whether the keys of a game can be spent so that a goal is reached. Each set of locks on which they were spent has its own
// account of what could be; a lock is added where the hero could be beside it and more of its keys could be had than were spent. Opening
// shuts nothing, so that only the set counts, not the order. Where no set reaches a goal, nothing does: what could be errs for more.
type keyring struct {
	// from begins an account of what could be, goal tells whether it reaches one.
	from  func() *May
	goal  func(*May) bool
	locks []lock
	todo  []uint64
	seen  map[uint64]bool
	now   *May
	left  int
	// dry is how often a lock was beside the hero with no key left where nothing else could be opened, by lock.
	dry []int
}

// newKeyring looks for locks whose keys could run out, by all that could be; nil where there are none.
func newKeyring(all *May, from func() *May, goal func(*May) bool) *keyring {
	k := &keyring{from: from, goal: goal, seen: map[uint64]bool{}}
	for r := range all.st.Things {
		t := &all.st.Things[r]
		if t.Doing.Needs != "" && (t.Acts == kind.Door || t.Acts == kind.Container) && all.opened[r] && all.counted(t.Doing.Needs) {
			k.locks = append(k.locks, lock{world.Ref(r), t.Doing.Needs})
		}
	}
	if len(k.locks) < 2 || len(k.locks) > maxLocks {
		return nil
	}
	k.dry = make([]int, len(k.locks))
	k.left = min(maxSpending, spendingWork/len(all.st.Things))
	k.put(0)
	return k
}

// counted reports whether what is called by a word are keys that are used up, each there once and never again.
func (f *May) counted(word string) bool {
	for r := range f.st.Things {
		t, ref := &f.st.Things[r], world.Ref(r)
		if t.Acts == kind.Key && t.Doing.Word == word && f.taken[r] && (!t.Doing.UsedUp || t.Absent || f.forgets(ref) || f.deeds().brings(ref)) {
			return false
		}
	}
	return !f.hasOtherwise(word)
}

func (k *keyring) put(spent uint64) {
	if !k.seen[spent] {
		k.seen[spent] = true
		k.todo = append(k.todo, spent)
	}
}

// step goes on for about so many cells; done when it is known whether keys run out, or it is too much.
func (k *keyring) step(budget int) (done, dry bool) {
	for budget > 0 {
		if k.now == nil {
			if len(k.todo) == 0 {
				return true, true
			}
			if k.left == 0 {
				return true, false
			}
			k.left--
			k.now = k.from()
			k.now.kept = make([]bool, len(k.now.st.Things))
			spent := k.todo[len(k.todo)-1]
			for i, l := range k.locks {
				k.now.kept[l.of] = spent>>i&1 == 0
			}
		}
		if !k.now.goOn(budget) {
			return false, false
		}
		budget -= 2000
		if k.goal(k.now) {
			return true, false
		}
		spent := k.todo[len(k.todo)-1]
		k.todo = k.todo[:len(k.todo)-1]
		k.spend(spent)
		k.now = nil
	}
	return false, false
}

// spend adds the sets that follow from one: a lock more where a key is left for it; all at once where there are enough for all.
func (k *keyring) spend(spent uint64) {
	f := k.now
	var shut, some uint64
	enough := spent
	for i, l := range k.locks {
		if spent>>i&1 != 0 || f.opened[l.of] || !f.near(f.st.Thing(l.of), 1) {
			continue
		}
		left, wanted := f.keys(l.word), 0
		for n, o := range k.locks {
			if o.word == l.word && spent>>n&1 != 0 {
				left--
			} else if o.word == l.word {
				wanted++
			}
		}
		switch {
		case left <= 0:
			shut |= 1 << i
		case left >= wanted:
			enough |= 1 << i
		default:
			some |= 1 << i
		}
	}
	if enough != spent {
		k.put(enough)
		return
	}
	for i := range k.locks {
		if some>>i&1 != 0 {
			k.put(spent | 1<<i)
		} else if some == 0 {
			k.dry[i] += int(shut >> i & 1)
		}
	}
}

// keys is how many keys that are called by a word could be had.
func (f *May) keys(word string) (n int) {
	for r := range f.st.Things {
		if t := &f.st.Things[r]; t.Acts == kind.Key && t.Doing.Word == word && f.taken[r] {
			n++
		}
	}
	return n
}

// inHand is how many keys that are called by a word the hero has where what could be is looked at from.
func (f *May) inHand(word string) (n int) {
	for r := range f.st.Things {
		if t := &f.st.Things[r]; t.Acts == kind.Key && t.Doing.Word == word && f.now.Is(world.Ref(r), play.Taken) && !f.now.Is(world.Ref(r), play.Spent) {
			n++
		}
	}
	return n
}

// unlocks reports whether a lock could be opened by what it asks for.
func (f *May) unlocks(r world.Ref, t *world.Thing) bool {
	return (f.kept == nil || !f.kept[r]) && f.has(t.Doing.Needs)
}

// why says which lock it is that there is no key left for, most often.
func (k *keyring) why(st *world.Stage) *Answer {
	at := 0
	for i, n := range k.dry {
		if n > k.dry[at] {
			at = i
		}
	}
	if slices.Max(k.dry) == 0 {
		return &Answer{Is: Cannot, By: world.None, Why: "the keys run out, whatever they open first"}
	}
	l := k.locks[at]
	return &Answer{Is: Cannot, By: l.of, Why: fmt.Sprintf("the keys called “%s” run out before %s, whatever they open first", l.word, st.Thing(l.of).Name)}
}
