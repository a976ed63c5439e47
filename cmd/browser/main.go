//go:build js && wasm

// Command browser is the core as a browser module: it puts azzelCore into the
// page's global scope and stays.
package main

import (
	"azzel/cmd/browser/room"
	"azzel/core/document"
	"azzel/core/session"
	"encoding/binary"
	"encoding/json"
	"strings"
	"syscall/js"
	"unsafe"
)

func main() {
	var s session.Session
	frame := make([]byte, 4096)
	var told []byte // of chunks
	keepRoom()
	answer := func(out json.RawMessage, err error) any {
		if err != nil {
			return js.ValueOf(map[string]any{"error": err.Error(), "code": session.CodeOf(err)})
		}
		return js.ValueOf(map[string]any{"ok": text(out)})
	}
	// an edit that was made comes beside the answer
	changed := func(out json.RawMessage, err error) any {
		told := answer(out, err).(js.Value)
		if made := s.Sent(); err == nil && made != nil {
			told.Set("sent", text(made))
		}
		return told
	}
	js.Global().Set("azzelCore", js.ValueOf(map[string]any{
		// open(state: Uint8Array, seq: number, person: string, client: string)
		"open": js.FuncOf(func(_ js.Value, args []js.Value) any {
			makeRoom(room.OfState(args[0].Length()))
			state := make([]byte, args[0].Length())
			js.CopyBytesToGo(state, args[0])
			return answer(json.RawMessage("null"), s.Open(state, int64(args[1].Int()), document.ID(args[2].String()), document.ID(args[3].String())))
		}),
		// call(method: string, args: string)
		"call": js.FuncOf(func(_ js.Value, args []js.Value) any {
			return changed(s.Call(args[0].String(), json.RawMessage(args[1].String())))
		}),
		// chunk(map, layer: string, cx, cy: number, into: Uint8Array): boolean
		"chunk": js.FuncOf(func(_ js.Value, args []js.Value) any {
			var out [4096]byte
			if !s.Chunk(document.ID(args[0].String()), document.ID(args[1].String()), args[2].Int(), args[3].Int(), &out) {
				return false
			}
			js.CopyBytesToJS(args[4], out[:])
			return true
		}),
		// chunks(map: string, layers: string with commas, at: cx, cy by turns as bytes of int32, step: number, into: Uint8Array): number, how many bytes
		"chunks": js.FuncOf(func(_ js.Value, args []js.Value) any {
			places := make([]byte, args[2].Length())
			js.CopyBytesToGo(places, args[2])
			at := make([]session.ChunkPlace, len(places)/8)
			for i := range at {
				at[i].CX = int(int32(binary.LittleEndian.Uint32(places[8*i:])))
				at[i].CY = int(int32(binary.LittleEndian.Uint32(places[8*i+4:])))
			}
			var layers []document.ID
			for id := range strings.SplitSeq(args[1].String(), ",") {
				layers = append(layers, document.ID(id))
			}
			if room := args[4].Length(); len(told) < room {
				told = make([]byte, room)
			}
			n := s.Chunks(document.ID(args[0].String()), layers, at, args[3].Int(), told)
			js.CopyBytesToJS(args[4], told[:n])
			return n
		}),
		// frame(into: Uint8Array): number, how many bytes it is
		"frame": js.FuncOf(func(_ js.Value, args []js.Value) any {
			n := s.Frame(frame[:])
			if n > len(frame) {
				frame = make([]byte, 2*n)
				s.Frame(frame)
			}
			if n <= args[0].Length() {
				js.CopyBytesToJS(args[0], frame[:n])
			}
			return n
		}),
		// jump(state: Uint8Array, label: string)
		"jump": js.FuncOf(func(_ js.Value, args []js.Value) any {
			state := make([]byte, args[0].Length())
			js.CopyBytesToGo(state, args[0])
			return changed(s.Jump(state, args[1].String()))
		}),
		"hash": js.FuncOf(func(js.Value, []js.Value) any { return s.Hash() }),
		// tidy(): boolean, whether memory that is not used any more was looked for
		"tidy": js.FuncOf(func(js.Value, []js.Value) any { return tidy() }),
	}))
	select {}
}

// text is JSON as a string, which shares its bytes: nothing writes to them any more.
func text(out json.RawMessage) string { return unsafe.String(unsafe.SliceData(out), len(out)) }
