package upcast

// format10 gives motifs rules; all that format 9 wrote stays as it is.
var format10 = nothing
