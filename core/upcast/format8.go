package upcast

// format8 gives layers that rules lay and that cover, and more words to rules; all that format 7 wrote stays as it is.
var format8 = nothing
