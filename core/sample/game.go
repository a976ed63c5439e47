package sample

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"math/rand/v2"
	"strings"
)

// gameSteps give the whole project a game around it: days, a title, words of its own.
func gameSteps() []edit.Primitive {
	project := edit.Ref{Type: edit.TypeProject}
	return []edit.Primitive{
		edit.Set(project, "gameValues", []kind.Value{{Key: kind.GameDay, Value: "90000"}, {Key: kind.GameTitle, Value: kind.Of("Low Tide")}}),
		edit.Set(project, "words", []document.WordChange{{Key: "newGame", Says: "Set out"}}),
		edit.Set(project, "checks", []document.CheckChoice{{What: "unused", As: document.Ignored}}),
		edit.Set(project, "silenced", []document.Silence{{What: "unused", Map: Pans, ID: "arrivearrive", Why: "for the next chapter"}}),
		edit.Set(project, "expectations", []document.Expectation{{ID: "neverneverne", Is: document.ExpectNever, Says: "Lit is set"}}),
		edit.Set(project, "ownChecks", []document.OwnCheck{{ID: "lampslampsla", Every: kind.Spawn, Where: document.WhereDark, Has: kind.Light, Number: 1, Within: 5, As: document.Matters}}),
		edit.Set(edit.Ref{Type: edit.TypeCounter, ID: "saltsaltsalt"}, "shown", "topRight"),
		edit.Insert(edit.Ref{Type: edit.TypeSound, ID: "bellbellbell"}, document.Sound{ID: "bellbellbell", Name: "Bell", File: strings.Repeat("5", 64), Form: "ogg", Lasts: 3000, From: 250, To: 2750, Loud: 80,
			As: []document.Hearing{{When: "take"}, {When: document.SoundAround, Kind: kind.Sound, Map: Quay}}}),
	}
}

// gameStep draws a change of what holds of the game.
func gameStep(r *rand.Rand) edit.Primitive {
	project := edit.Ref{Type: edit.TypeProject}
	switch r.IntN(3) {
	case 0:
		return edit.Set(project, "gameValues", []kind.Value{{Key: kind.GameDay, Value: kind.Of(1000 * r.IntN(200))}})
	case 1:
		return edit.Set(project, "words", []document.WordChange{{Key: "newGame", Says: []string{"Set out", "Begin"}[r.IntN(2)]}})
	}
	return edit.Set(project, "gameValues", []kind.Value{})
}
