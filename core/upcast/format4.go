package upcast

// format4 has pins and recordings of games; all that format 3 wrote stays as it is.
var format4 = change{
	whole: func(string, object) {},
	field: func(_, name string, value any) (string, any) { return name, value },
}
