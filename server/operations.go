package server

// Media are what is sent and answered.
const (
	mediaJSON   = "application/json"
	mediaZIP    = "application/zip"
	mediaPNG    = "image/png"
	mediaHTML   = "text/html"
	mediaBytes  = "application/octet-stream"
	mediaLayers = "image/openraster"
	mediaAny    = "*/*"
)

// Operation is one thing that the HTTP API does. The page of the API (docs/openapi.json, docs/api.md) is made from them, and a test
// holds them against the routes.
type Operation struct {
	Method, Path string
	// Does says what it does, in a sentence.
	Does string
	// Takes is the media type of what is sent, empty for nothing; Sent describes it.
	Takes, Sent string
	// Status is that of the answer where all went well, Gives its media type, empty for nothing, and Answer describes it.
	Status int
	Gives  string
	Answer string
}

// Operations are all that the API does, in the order of its routes.
func Operations() []Operation {
	project := "/api/projects/{project}"
	get := func(path, does, gives, answer string) Operation {
		return Operation{Method: "GET", Path: path, Does: does, Status: 200, Gives: gives, Answer: answer}
	}
	post := func(path, does, takes, sent string, status int, gives, answer string) Operation {
		return Operation{"POST", path, does, takes, sent, status, gives, answer}
	}
	return []Operation{
		get("/api/session", "Tells who one is, and gives the cookie by which one is known.", mediaJSON, "person, name, the format of edits, and the name of the cookie of which the token goes into the header X-Csrf-Token of every POST"),
		get("/api/projects", "Lists the projects that one is a member of.", mediaJSON, "a list of projects: id, name, when it was changed"),
		post("/api/projects", "Makes an empty project.", mediaJSON, "name", 201, mediaJSON, "the project: id, name"),
		post("/api/projects/import", "Makes a project of a ZIP.", mediaZIP, "a project as it leaves by export", 201, mediaJSON, "the project: id, name"),
		post(project+"/name", "Gives a project another name, as an edit.", mediaJSON, "name", 200, mediaJSON, "seq, the number of the edit"),
		post(project+"/copy", "Makes a project that begins as this one is now.", "", "", 201, mediaJSON, "the project: id, name"),
		post(project+"/remove", "Puts a project away from the list.", "", "", 204, "", ""),
		post(project+"/bring-back", "Brings it back to the list.", "", "", 204, "", ""),
		post(project+"/delete", "Removes a project that was put away for good, with its history; only who made it can.", "", "", 204, "", ""),
		get(project+"/cover", "Draws what a project is known by in the list: where its game begins.", mediaPNG, "the picture; nothing (204) where there is nothing to see"),
		get(project+"/state", "Gives all of a project, as pages hold it.", mediaBytes, "the state, and the number of its last edit in a header"),
		get(project+"/export", "Gives a project as a ZIP of open files.", mediaZIP, "the ZIP"),
		get(project+"/export/{form}", "Gives a part of a project by itself: graphml, svg, rules, or as a table maps, entities, passages, flags, counters, texts, findings.", mediaAny, "the file"),
		get(project+"/export/{what}/{id}", "Gives a tileset or a motif by itself, with what belongs to it.", mediaZIP, "a project of nothing else, as a ZIP"),
		get(project+"/layered/{map}", "Gives a map in layers.", mediaLayers, "OpenRaster"),
		get(project+"/page", "Gives the page that plays.", mediaHTML, "one file"),
		get(project+"/page/folder", "Gives the page that plays, for a web server.", mediaZIP, "a folder as a ZIP"),
		post(project+"/bring-in", "Tells what a ZIP would change in a project; it changes nothing.", mediaZIP, "a project as it leaves by export", 200, mediaJSON, "changes, the state that it would be, and small pictures of maps as they are and would be"),
		get(project+"/history/{seq}", "Tells which of one's edits can be undone and done again, at an edit.", mediaJSON, "undo and redo, lists of edits"),
		get(project+"/events/{seq}", "Lists what was done before an edit.", mediaJSON, "a list of edits: number, who, when, what"),
		get(project+"/state/{seq}", "Gives a project as it was after an edit.", mediaBytes, "the state"),
		get(project+"/versions", "Lists the moments of a project that have names, the latest first.", mediaJSON, "a list of versions: id, seq (the number of the edit after which it was so), name, by (who named it), at (when it was so)"),
		post(project+"/versions", "Gives a moment of a project a name.", mediaJSON, "name (80 characters at most), seq", 201, mediaJSON, "id"),
		post(project+"/versions/{version}/name", "Gives a version another name.", mediaJSON, "name", 204, "", ""),
		post(project+"/versions/{version}/remove", "Takes the name of a version away; the history keeps what it was.", "", "", 204, "", ""),
		get(project+"/compare/{seq}/{to}", "Tells what differs from a moment of a project to another, by the numbers of edits.", mediaJSON, "changes, and small pictures of maps as they were and are"),
		post(project+"/restore/{seq}", "Puts a project that cannot be read back to what it was after an edit.", "", "", 200, mediaJSON, "seq, the number of the edit that does it"),
		get(project+"/edits/{seq}/revert", "Gives what turns an edit back.", mediaJSON, "an edit"),
		get(project+"/edits/{seq}/sketch", "Gives what a small picture of an edit is drawn from.", mediaJSON, "cells"),
		post(project+"/edits", "Takes an edit that is too large for the socket, 8 MB at most.", mediaJSON, "an edit", 200, mediaJSON, "seq, its number"),
		post(project+"/think", "Finds out a part more of what takes long: whether the project can be finished, and what is wrong with it. What is known already of a project with the same hash is answered at once.", mediaJSON, "method (prove, study, walk, checks, expectations, par, reach, foresee, follow) and args, as the core’s session has them", 200, mediaJSON, "the answer"),
		post(project+"/edits/stored", "Tells which of some edits are stored.", mediaJSON, "a list of edits: client and number", 200, mediaJSON, "those that are"),
		post(project+"/pictures", "Takes in a picture: PNG, WebP, GIF, JPEG or BMP, 16 megapixels at most.", mediaAny, "the picture", 200, mediaJSON, "its SHA-256, width and height, and how it is probably cut"),
		post(project+"/starter", "Takes in the picture of the starter set.", "", "", 200, mediaJSON, "tilesets, kinds and materials to be put into the project"),
		post(project+"/numbers", "Gives a number by which cells can call a tileset, a material or a zone.", "", "", 200, mediaJSON, "the number"),
		post(project+"/recognise", "Finds the tiles of a material on a picture, by the one that shows it all over.", mediaJSON, "picture, cut, the tile", 200, mediaJSON, "tiles with their forms"),
		post(project+"/match", "Finds which tile of another cut or picture each tile becomes.", mediaJSON, "two pictures with their cuts", 200, mediaJSON, "pairs of tiles"),
		post(project+"/partners", "Finds the tiles that are mirror images of each other.", mediaJSON, "picture and cut", 200, mediaJSON, "pairs of tiles"),
		post(project+"/pictures/reshape", "Makes a picture of a part of another one, at another size.", mediaJSON, "picture, crop, width, height", 200, mediaJSON, "the picture: SHA-256, width, height"),
		post(project+"/pictures/pixels", "Makes a picture of which a part is drawn otherwise.", mediaJSON, "picture, part, what it was and what it is", 200, mediaJSON, "the picture: SHA-256, width, height"),
		post(project+"/pictures/gather", "Puts pictures together on one sheet.", mediaJSON, "pictures", 200, mediaJSON, "the sheet: SHA-256, width, height, and its cut"),
		post(project+"/sounds", "Takes in a sound: WAV, OGG Vorbis, MP3 or FLAC, 8 MB and ten minutes at most.", mediaAny, "the sound", 200, mediaJSON, "its SHA-256, form, and how many milliseconds it lasts"),
		get("/api/sounds/{sha}", "Gives a sound.", mediaAny, "the sound; it never changes"),
		get("/api/pictures/{sha}", "Gives a picture.", mediaPNG, "the picture; it never changes"),
		{Method: "GET", Path: "/live/{project}", Does: "Opens a socket on which edits and pointers are sent, from the page's own origin only.", Status: 101, Answer: "the socket"},
	}
}
