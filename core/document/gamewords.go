package document

import (
	"slices"
	"strings"
)

// GameWord is something that the game itself says, by a key, and in languages that come with Azzel.
type GameWord struct {
	Key, Says string
	// In is what it is in languages that come with Azzel, in the order of gameLanguages.
	In [3]string
}

// gameLanguages are the languages in which the game's own words come with Azzel, besides English.
var gameLanguages = []string{"de", "fr", "es"}

// GameWords are what the game itself says: on its title and in its menus, at its end, beside what is counted. What stands
// in braces is put in.
var GameWords = []GameWord{
	{"newGame", "New game", [3]string{"Neues Spiel", "Nouvelle partie", "Partida nueva"}},
	{"continue", "Continue", [3]string{"Weiterspielen", "Continuer", "Continuar"}},
	{"chooseMap", "Choose a map", [3]string{"Karte wählen", "Choisir une carte", "Elegir mapa"}},
	{"savedGames", "Saved games", [3]string{"Spielstände", "Parties gardées", "Partidas guardadas"}},
	{"settings", "Settings", [3]string{"Einstellungen", "Réglages", "Ajustes"}},
	{"credits", "Credits", [3]string{"Mitwirkende", "Crédits", "Créditos"}},
	{"back", "Back", [3]string{"Zurück", "Retour", "Volver"}},
	{"paused", "Paused", [3]string{"Pause", "Pause", "Pausa"}},
	{"goOn", "Go on", [3]string{"Weiter", "Reprendre", "Seguir"}},
	{"again", "Again", [3]string{"Noch einmal", "Recommencer", "Otra vez"}},
	{"toTitle", "To the title", [3]string{"Zum Titel", "Vers le titre", "Al título"}},
	{"save", "Save", [3]string{"Speichern", "Garder", "Guardar"}},
	{"saveHere", "Save in place {n}", [3]string{"Auf Platz {n} speichern", "Garder à la place {n}", "Guardar en el lugar {n}"}},
	{"place", "Place {n}", [3]string{"Platz {n}", "Place {n}", "Lugar {n}"}},
	{"byItself", "Kept by itself", [3]string{"Von selbst gespeichert", "Gardée d’elle-même", "Guardada sola"}},
	{"empty", "Empty", [3]string{"Leer", "Vide", "Vacío"}},
	{"saved", "Saved.", [3]string{"Gespeichert.", "Gardée.", "Guardada."}},
	{"lostSince", "The game has changed since: {n} things that were kept are not in it any more.", [3]string{"Das Spiel hat sich seither geändert: {n} Dinge gibt es nicht mehr.", "Le jeu a changé depuis : {n} choses n’y sont plus.", "El juego ha cambiado: {n} cosas ya no están."}},
	{"cannotLoad", "This game cannot be gone on with: {why}.", [3]string{"Dieser Spielstand geht nicht weiter: {why}.", "Cette partie ne peut pas continuer : {why}.", "Esta partida no puede seguir: {why}."}},
	{"cannotSave", "There is no room to save here.", [3]string{"Hier ist kein Platz zum Speichern.", "Il n’y a pas de place pour garder.", "No hay lugar para guardar."}},
	{"language", "Language", [3]string{"Sprache", "Langue", "Idioma"}},
	{"music", "Music", [3]string{"Musik", "Musique", "Música"}},
	{"surroundings", "Surroundings", [3]string{"Umgebung", "Alentours", "Entorno"}},
	{"sounds", "Sounds", [3]string{"Geräusche", "Bruitages", "Sonidos"}},
	{"letters", "Size of letters", [3]string{"Größe der Schrift", "Taille des lettres", "Tamaño de letra"}},
	{"small", "small", [3]string{"klein", "petite", "pequeña"}},
	{"normal", "normal", [3]string{"mittel", "moyenne", "normal"}},
	{"large", "large", [3]string{"groß", "grande", "grande"}},
	{"lessMotion", "Less motion", [3]string{"Weniger Bewegung", "Moins de mouvement", "Menos movimiento"}},
	{"noFlicker", "No shaking, no flicker", [3]string{"Kein Wackeln, kein Flackern", "Ni secousses ni scintillement", "Sin temblor ni parpadeo"}},
	{"keys", "Keys", [3]string{"Tasten", "Touches", "Teclas"}},
	{"press", "press a key", [3]string{"Taste drücken", "appuyez", "pulse una tecla"}},
	{"up", "up", [3]string{"hinauf", "haut", "arriba"}},
	{"right", "right", [3]string{"rechts", "droite", "derecha"}},
	{"down", "down", [3]string{"hinunter", "bas", "abajo"}},
	{"left", "left", [3]string{"links", "gauche", "izquierda"}},
	{"walk", "walk", [3]string{"gehen", "marcher", "andar"}},
	{"use", "use", [3]string{"benutzen", "utiliser", "usar"}},
	{"jump", "jump", [3]string{"springen", "sauter", "saltar"}},
	{"next", "next in hand", [3]string{"das Nächste in die Hand", "objet suivant", "siguiente en mano"}},
	{"lead", "lead {name}", [3]string{"{name} führen", "mener {name}", "llevar a {name}"}},
	{"swap", "lead another", [3]string{"jemand anderen führen", "mener un autre", "llevar a otro"}},
	{"skip", "skip", [3]string{"überspringen", "passer", "saltar escena"}},
	{"pause", "pause", [3]string{"anhalten", "pause", "pausa"}},
	{"touch", "Press the ground to walk there, or use the pad.", [3]string{"Auf den Boden drücken, um hinzugehen, oder das Steuerkreuz.", "Appuyez sur le sol pour y aller, ou la croix.", "Pulse el suelo para ir allí, o la cruz."}},
	{"won", "The game is won", [3]string{"Das Spiel ist gewonnen", "La partie est gagnée", "Partida ganada"}},
	{"lost", "The game is lost", [3]string{"Das Spiel ist verloren", "La partie est perdue", "Partida perdida"}},
	{"finished", "{name} is finished", [3]string{"{name} ist geschafft", "{name} est terminé", "{name} terminado"}},
	{"onward", "On to {name}", [3]string{"Weiter: {name}", "Vers {name}", "Seguir a {name}"}},
	{"timeOver", "The time is over.", [3]string{"Die Zeit ist um.", "Le temps est écoulé.", "Se acabó el tiempo."}},
	{"movesOver", "No moves are left.", [3]string{"Es ist kein Zug mehr übrig.", "Il ne reste aucun coup.", "No quedan jugadas."}},
	{"locked", "not opened yet", [3]string{"noch nicht offen", "pas encore ouverte", "aún cerrado"}},
	{"best", "Best: {what}", [3]string{"Bestes: {what}", "Record : {what}", "Mejor: {what}"}},
	{"better", "Better than ever", [3]string{"Besser als je zuvor", "Nouveau record", "Nuevo récord"}},
	{"stars", "{n} of 3 stars", [3]string{"{n} von 3 Sternen", "{n} étoiles sur 3", "{n} de 3 estrellas"}},
	{"moves", "{n} moves", [3]string{"{n} Züge", "{n} coups", "{n} jugadas"}},
	{"movesLeft", "{n} moves left", [3]string{"noch {n} Züge", "encore {n} coups", "quedan {n} jugadas"}},
	{"tries", "{n} tries", [3]string{"{n} Versuche", "{n} essais", "{n} intentos"}},
	{"collected", "{n} of {all} collected", [3]string{"{n} von {all} gesammelt", "{n} sur {all} ramassés", "{n} de {all} recogidos"}},
	{"hearts", "{n} of {all} hearts", [3]string{"{n} von {all} Herzen", "{n} cœurs sur {all}", "{n} de {all} corazones"}},
	{"lives", "{n} lives", [3]string{"{n} Leben", "{n} vies", "{n} vidas"}},
	{"points", "{n} of {all} points", [3]string{"{n} von {all} Punkten", "{n} points sur {all}", "{n} de {all} puntos"}},
	{"wave", "Wave {n} of {all}", [3]string{"Welle {n} von {all}", "Vague {n} sur {all}", "Oleada {n} de {all}"}},
	{"stillTakes", "{what}: {n} of {all} left", [3]string{"{what}: noch {n} von {all}", "{what} : encore {n} sur {all}", "{what}: quedan {n} de {all}"}},
	{"strike", "strike", [3]string{"schlagen", "frapper", "golpear"}},
	{"notReady", "not ready yet", [3]string{"noch nicht bereit", "pas encore prêt", "aún no está listo"}},
	{"endTurn", "end the turn", [3]string{"Zug beenden", "finir le tour", "terminar el turno"}},
	{"costs", "{what} costs {n}, and you have {have}.", [3]string{"{what} kostet {n}, und du hast {have}.", "{what} coûte {n}, et vous avez {have}.", "{what} cuesta {n}, y tienes {have}."}},
	{"theEnd", "The end", [3]string{"Ende", "Fin", "Fin"}},
	{"thanks", "Thank you for playing.", [3]string{"Danke fürs Spielen.", "Merci d’avoir joué.", "Gracias por jugar."}},
}

// came is what a word of the game is in a language that comes with Azzel, empty where it does not come.
func (w *GameWord) came(language string) string {
	tag, _, _ := strings.Cut(language, "-")
	if tag == OwnLanguage {
		return w.Says
	}
	if i := slices.Index(gameLanguages, tag); i >= 0 {
		return w.In[i]
	}
	return ""
}

// own is what a word of the game is in the language that the project is written in.
func (p *Project) own(w *GameWord) string {
	for _, o := range p.Words {
		if o.Key == w.Key {
			return o.Says
		}
	}
	if p.Language != "" {
		if says := w.came(p.Language); says != "" {
			return says
		}
	}
	return w.Says
}

// GameSays is a word of the game in a language, empty for the one that the texts are written in: as the designer said it, or
// as it comes with Azzel. A word that was changed is in other languages what the designer says of it there.
func (d *Document) GameSays(language, key string) string {
	i := slices.IndexFunc(GameWords, func(w GameWord) bool { return w.Key == key })
	if i < 0 {
		return ""
	}
	w := &GameWords[i]
	says := d.Project.own(w)
	if language == "" {
		return says
	}
	if in := d.Wording(language, says); in != nil && in.Says != "" {
		return in.Says
	}
	if in := d.GameComes(language, key); in != "" {
		return in
	}
	return says
}

// GameComes is what a word of the game is in a language that comes with Azzel; empty for other languages, and where the
// designer changed it.
func (d *Document) GameComes(language, key string) string {
	i := slices.IndexFunc(GameWords, func(w GameWord) bool { return w.Key == key })
	if i < 0 || slices.ContainsFunc(d.Project.Words, func(o WordChange) bool { return o.Key == key }) {
		return ""
	}
	return GameWords[i].came(language)
}
