package upcast

// format13 keeps fields of files that nothing here knows.
var format13 = nothing
