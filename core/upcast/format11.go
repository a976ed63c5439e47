package upcast

// format11 gives projects what holds of a game as a whole; all that format 10 wrote stays as it is.
var format11 = nothing
