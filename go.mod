module azzel

go 1.25.0
