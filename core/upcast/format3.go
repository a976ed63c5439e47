package upcast

// format3 has placings of motifs, and how many tiles a kind's pictures are across and
// down; nothing that format 2 wrote says either, and all of it stays as it is.
var format3 = nothing
