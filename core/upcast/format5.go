package upcast

// format5 lets rules do something otherwise, entities be disabled, and games have timers, what was made in
// them and heroes that wait; all that format 4 wrote stays as it is.
var format5 = nothing
