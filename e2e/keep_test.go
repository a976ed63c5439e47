package e2e

import _ "github.com/go-rod/rod"
