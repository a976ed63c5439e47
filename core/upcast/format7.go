package upcast

// format7 gives rules names, parts in parts, counters, and drafts of their text; all that format 6 wrote stays as it is.
var format7 = nothing
