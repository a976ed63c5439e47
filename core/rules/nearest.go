package rules

import "strings"

// nearest is the word that is spelt most like one, at most a third of it otherwise; empty for none.
func nearest(text string, all []string) (best string) {
	text = strings.ToLower(text)
	far := len([]rune(text))/3 + 1
	for _, w := range all {
		if n := distance(text, strings.ToLower(w), far); n < far {
			best, far = w, n
		}
	}
	return best
}

// distance is how many characters are put, taken, changed or swapped with the next to get from one word to another
// (Damerau, 1964), or limit where that is more.
func distance(a, b string, limit int) int {
	x, y := []rune(a), []rune(b)
	if max(len(x)-len(y), len(y)-len(x)) >= limit {
		return limit
	}
	rows := make([][]int, len(x)+1)
	for i := range rows {
		rows[i] = make([]int, len(y)+1)
		for j := range rows[i] {
			switch {
			case i == 0 || j == 0:
				rows[i][j] = i + j
				continue
			case x[i-1] == y[j-1]:
				rows[i][j] = rows[i-1][j-1]
			default:
				rows[i][j] = 1 + min(rows[i-1][j-1], rows[i-1][j], rows[i][j-1])
			}
			if i > 1 && j > 1 && x[i-1] == y[j-2] && x[i-2] == y[j-1] {
				rows[i][j] = min(rows[i][j], rows[i-2][j-2]+1)
			}
		}
	}
	return min(rows[len(x)][len(y)], limit)
}
