package kind

// lanes are what waves come along.
var lanes = []Kind{
	{ID: "entry", Name: "Lane entry", Help: "Where waves come in", Faces: true, Veiled: true, Settings: settings(
		written("lane", "The lane that it begins"), waves, every)},
	{ID: "lane", Name: "Lane", Help: "The way that waves go", Ways: true, Veiled: true, Settings: settings(written("lane", "Its name"))},
	{ID: "core", Name: "Core", Help: "What waves want to reach", Area: true, Settings: settings(number("health", "10", "", 1, 99999, "How much gets through before it falls"))},
	{ID: "place", Name: "Buildable place", Help: "Something can be built here", Area: true, Veiled: true, Settings: settings(written("takes", "What can be built; empty is anything"))},
}
