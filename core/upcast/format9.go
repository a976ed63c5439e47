package upcast

// format9 gives texts in several languages, and more words to rules; all that format 8 wrote stays as it is.
var format9 = nothing
