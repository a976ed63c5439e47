package document

import "strings"

// Names counts the names in use among objects of one sort, letter case apart, so
// that the first free number behind a name is found at once however many have it.
// The zero value is empty.
type Names struct {
	used map[string]int
	// least is, by stem, a number below which none is free.
	least map[string]int
}

// firstNumber is the first number that is put behind a name that is taken.
const firstNumber = 2

// Has reports whether a name is in use.
func (n *Names) Has(name string) bool { return n.used[strings.ToLower(name)] > 0 }

// Add notes one more use of a name.
func (n *Names) Add(name string) { n.add(strings.ToLower(name)) }

func (n *Names) add(key string) {
	if n.used == nil {
		n.used, n.least = map[string]int{}, map[string]int{}
	}
	n.used[key]++
}

// Remove notes one use of a name less.
func (n *Names) Remove(name string) {
	key := strings.ToLower(name)
	if n.used[key]--; n.used[key] > 0 {
		return
	}
	delete(n.used, key)
	if stem, number := numbered(key); number >= firstNumber && number < n.least[stem] {
		n.least[stem] = number
	}
}

// Free gives name, or name with the first free number behind it. It does not use it.
func (n *Names) Free(name string) string {
	name, _ = n.free(name)
	return name
}

// free is Free, with what the name is counted by.
func (n *Names) free(name string) (free, key string) {
	key = strings.ToLower(name)
	if n.used[key] <= 0 {
		return name, key
	}
	stem, _ := numbered(name)
	if r := []rune(stem); len(r) > MaxName-8 {
		stem = string(r[:MaxName-8])
	}
	lower := strings.ToLower(stem)
	for i := max(firstNumber, n.least[lower]); ; i++ {
		number := " " + itoa(i)
		if key = lower + number; n.used[key] <= 0 {
			n.least[lower] = i
			return stem + number, key
		}
	}
}

// Take gives a free name as Free does and notes that it is in use.
func (n *Names) Take(name string) string {
	name, key := n.free(name)
	n.add(key)
	return name
}

// numbered splits a name into its stem and the number behind it, 0 when there is none.
func numbered(name string) (stem string, number int) {
	i := strings.LastIndexByte(name, ' ')
	if i < 1 || i+1 == len(name) || strings.Trim(name[i+1:], "0123456789") != "" {
		return name, 0
	}
	for _, c := range []byte(name[i+1:]) {
		if number < 1<<30 {
			number = number*10 + int(c-'0')
		}
	}
	return name[:i], number
}
