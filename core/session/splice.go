package session

// Spliced is what differs in a list from what was told before: Cut of them, from the one at From on, are taken out, and Put comes in their place.
type Spliced[T any] struct {
	From int `json:"from"`
	Cut  int `json:"cut"`
	Put  []T `json:"put"`
}

// spliced tells how one list becomes another one: what lies between the part that they begin with and the part that they end with. It is nil where
// nothing differs.
func spliced[T any](was, now []T, same func(a, b T) bool) *Spliced[T] {
	from, short := 0, min(len(was), len(now))
	for from < short && same(was[from], now[from]) {
		from++
	}
	if from == len(was) && from == len(now) {
		return nil
	}
	behind := 0
	for behind < short-from && same(was[len(was)-1-behind], now[len(now)-1-behind]) {
		behind++
	}
	return &Spliced[T]{from, len(was) - behind - from, append([]T{}, now[from:len(now)-behind]...)}
}
