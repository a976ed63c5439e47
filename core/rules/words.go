package rules

// The words: happenings, conditions and actions.
const (
	WordUse      = "use"      // the hero uses a switch
	WordUseOn    = "useOn"    // the hero uses the item in hand on something
	WordReaches  = "reaches"  // a counter of something's own comes to a number, or a flag is set
	WordTake     = "take"     // the hero takes a collectible
	WordEnter    = "enter"    // somebody comes to a sensor, a checkpoint or a goal
	WordLeave    = "leave"    // all have left a sensor
	WordArrive   = "arrive"   // the hero arrives on a map
	WordGoes     = "goes"     // it has left one
	WordTurnsOn  = "turnsOn"  // something is turned on
	WordTurnsOff = "turnsOff" // something is turned off
	WordOpens    = "opens"    // a door or a container is opened
	WordShuts    = "shuts"    // a door is shut
	WordRings    = "rings"    // the time of a timer is over
	WordEnds     = "ends"     // a source has made all, and nothing of it is left
	WordFalls    = "falls"    // somebody is defeated, something is broken
	WordIsSet    = "isSet"    // a flag is set
	WordIsNotSet = "isNotSet" // a flag is not set
	WordIsOn     = "isOn"
	WordIsOff    = "isOff"
	WordIsOpen   = "isOpen"
	WordIsShut   = "isShut"
	WordIsMet    = "isMet"   // somebody is in a sensor
	WordIsLeft   = "isLeft"  // nobody is in it
	WordOpen     = "open"    // open a door
	WordShut     = "shut"    // shut it
	WordTurnOn   = "turnOn"  // turn something on
	WordTurnOff  = "turnOff" // turn it off
	WordFlip     = "flip"    // the one or the other
	WordShow     = "show"    // let the player see something
	WordHide     = "hide"    // and not any more
	WordEnable   = "enable"  // let something do what it does
	WordDisable  = "disable" // and not any more
	WordBring    = "bring"   // put something where it is at first
	WordRemove   = "remove"  // take it away
	WordMake     = "make"    // let a source make one
	WordSet      = "set"     // set a flag
	WordClear    = "clear"   // clear a flag
	WordSay      = "say"     // say a line

	WordHas       = "has"       // the hero has an item or a key
	WordLacks     = "lacks"     // it has not
	WordVisited   = "visited"   // the hero has been on a map
	WordUnvisited = "unvisited" // it has not
	WordIsThere   = "isThere"   // something is there
	WordIsAway    = "isAway"    // it is not: absent, taken, broken
	WordIsShown   = "isShown"
	WordIsHidden  = "isHidden"
	WordSend      = "send" // the hero goes where something is
	WordWait      = "wait" // the rest of the rule comes later

	WordOwnIsSet    = "ownIsSet"    // a flag of something's own is set
	WordOwnIsNotSet = "ownIsNotSet" // it is not
	WordOwnAtLeast  = "ownAtLeast"  // a counter of something's own is a number or more
	WordOwnBelow    = "ownBelow"    // it is less
	WordOwnSet      = "ownSet"      // set a flag of something's own
	WordOwnClear    = "ownClear"    // clear it
	WordOwnAdd      = "ownAdd"      // add to a counter of something's own; what is less than 0 takes away
	WordOwnPut      = "ownPut"      // give it a number

	WordSpeak    = "speak"    // the hero speaks to a character, reads a sign
	WordHurt     = "hurt"     // the hero loses hearts
	WordBegins   = "begins"   // a new game begins
	WordGetsSet  = "getsSet"  // a flag is set that was not
	WordGetsBare = "getsBare" // a flag is cleared that was set
	WordCounts   = "counts"   // a counter comes to a number
	WordHears    = "hears"    // a signal is sent out

	WordAtLeast = "atLeast" // a counter is a number or more
	WordBelow   = "below"   // it is less
	WordExactly = "exactly"
	WordHearts  = "hearts" // the hero has so many hearts or more
	WordLeft    = "left"   // so many of a kind are left, or fewer
	WordAllOf   = "allOf"  // all that stands in it is so
	WordAnyOf   = "anyOf"  // one of it is
	WordNoneOf  = "noneOf" // none is

	WordAdd      = "add"      // add to a counter
	WordPut      = "put"      // give it a number
	WordMultiply = "multiply" // multiply it
	WordHeal     = "heal"     // give the hero hearts
	WordHarm     = "harm"     // take hearts from it
	WordLives    = "lives"    // give it lives
	WordKeep     = "keep"     // the hero comes back here after a loss
	WordGive     = "give"     // the hero has so many more of an item
	WordUseUp    = "useUp"    // and so many fewer, as far as it has them
	WordHasMany  = "hasMany"  // the hero has so many of an item, or more
	WordSignal   = "signal"   // wakes rules that wait for the signal
	WordAsk      = "ask"      // ask, and go on by the answer
	WordAnswer   = "answer"   // one answer
	WordWhether  = "whether"  // do some of it only if something is so
	WordAsLong   = "asLong"   // and again, as long as it is
	WordRepeat   = "repeat"   // so many times
	WordStop     = "stop"     // the rest of the rule is left out
	WordNote     = "note"     // a comment

	WordTouch      = "touch"      // the hero comes against something
	WordPush       = "push"       // it pushes a block
	WordStrike     = "strike"     // it strikes something
	WordGain       = "gain"       // it comes to have an item
	WordLosesLife  = "losesLife"  // it has come to its last heart
	WordComesBack  = "comesBack"  // it comes back after that
	WordSpots      = "spots"      // somebody comes to see the hero
	WordLosesSight = "losesSight" // and does not any more
	WordNoneLeft   = "noneLeft"   // the last of a kind is gone
	WordRests      = "rests"      // a block that moved lies still
	WordPoint      = "point"      // something that goes along a path comes to one of its points
	WordEvery      = "every"      // so many seconds have passed again

	WordIsOnMap  = "isOnMap"  // the hero is on a map
	WordLooks    = "looks"    // somebody looks a way
	WordNear     = "near"     // somebody is not farther from something
	WordSees     = "sees"     // somebody sees the hero
	WordIsLed    = "isLed"    // a hero is the one who is led
	WordChance   = "chance"   // as often as that, by chance
	WordFirst    = "first"    // the rule has not done this before
	WordCameFrom = "cameFrom" // the hero was on a map before this one
	WordAble     = "able"     // the hero has an ability

	WordPlayAs = "playAs" // lead another hero
	WordWalk   = "walk"   // somebody walks so many cells
	WordGoTo   = "goTo"   // somebody finds a way to something
	WordTurn   = "turn"   // somebody turns to look a way
	WordFace   = "face"   // and to look at something
	WordMove   = "move"   // somebody is elsewhere
	WordThink  = "think"  // a thought above somebody's head
	WordDefeat = "defeat" // somebody is defeated, something broken
	WordHit    = "hit"    // or struck once
	WordFollow = "follow" // somebody goes along with the hero
	WordPart   = "part"   // and not any more
	WordJump   = "jump"   // somebody jumps for the player to see
	WordAct    = "act"    // somebody looks as if doing something

	WordWatch    = "watch"    // the view goes to something
	WordViewBack = "viewBack" // and back to the hero
	WordShake    = "shake"    // the view shakes
	WordDarken   = "darken"   // it becomes dark
	WordLighten  = "lighten"  // and not any more
	WordTint     = "tint"     // it takes on a colour
	WordCaption  = "caption"  // a line that nobody has to read on
	WordPicture  = "picture"  // something is shown large
	WordZoom     = "zoom"     // the view comes nearer, or goes farther away
	WordSound    = "sound"    // a sound is heard once
	WordBed      = "bed"      // a sound is heard from now on
	WordHush     = "hush"     // and not any more

	WordLay     = "lay"     // a layer is there from now on
	WordLift    = "lift"    // and not any more
	WordLies    = "lies"    // a layer is there
	WordLiesNot = "liesNot" // it is not

	WordTells      = "tells"      // somebody says a line
	WordTellsAs    = "tellsAs"    // and looks as in one of his guises meanwhile
	WordTurnsInto  = "turnsInto"  // something goes over into another guise, as soon as what is asked is so
	WordIsGuise    = "isGuise"    // it is in a guise
	WordIsNotGuise = "isNotGuise" // it is not
	WordDisguise   = "disguise"   // it is in a guise from now on

	WordDraw     = "draw"     // a counter becomes a number by chance
	WordWin      = "win"      // the game is won
	WordLose     = "lose"     // and lost
	WordScene    = "scene"    // the hero is held while it lasts
	WordHour     = "hour"     // it becomes an hour of the day
	WordLoads    = "loads"    // a game that was kept is gone on with
	WordDone     = "done"     // the hero has finished a map
	WordBetween  = "between"  // it is between two hours of the day
	WordIsHour   = "isHour"   // let it be an hour of the day
	WordSave     = "save"     // the game is kept
	WordFinish   = "finish"   // the map is finished
	WordWeather  = "weather"  // the weather becomes another
	WordTogether = "together" // several things at the same time
	WordUntil    = "until"    // the rest comes when something is so
)
