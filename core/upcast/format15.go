package upcast

// format15 keeps checks of the designer's own.
var format15 = nothing
