package upcast

// format6 gives entities flags and counters of their own, kinds pictures for what they do, and games an
// item in the hand; all that format 5 wrote stays as it is.
var format6 = nothing
