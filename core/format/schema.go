package format

const schemaFolder = "schemas/"

func schemas() []File { return nil }
