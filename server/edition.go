package server

import (
	"azzel/web"
	"crypto/sha256"
	"fmt"
	"io/fs"
	"sync"
)

// edition tells of which core an answer is: by the hash of the module that pages run, empty before the interface is built. What another
// edition found out is found out anew, since it may have known less.
var edition = sync.OnceValue(func() string {
	data, err := fs.ReadFile(web.Dist, "dist/azzel.wasm.gz")
	if err != nil {
		return ""
	}
	return fmt.Sprintf("%.8x ", sha256.Sum256(data))
})
