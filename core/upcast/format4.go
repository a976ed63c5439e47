package upcast

// format4 has pins and recordings of games; all that format 3 wrote stays as it is.
var format4 = nothing
