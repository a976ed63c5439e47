package upcast

// format14 keeps what Check is to say of a project: how much each finding matters, what is silenced, what is expected.
var format14 = nothing
