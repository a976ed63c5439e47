// Package web holds the built interface, so that one binary serves everything.
package web

import "embed"

// Dist is the folder dist: the build's output, or a placeholder before it.
//
//go:embed all:dist
var Dist embed.FS
