package upcast

// format12 has guises of kinds, and further words of rules.
var format12 = nothing
