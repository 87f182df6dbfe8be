package formats

import (
	"fmt"
	"time"

	ics "github.com/arran4/golang-ical"
)

// Event is something to begin at a time, in a calendar.
type Event struct {
	ID, Name, Text string
	Start, End     time.Time
	// Alarm rings so long before the start; negative for none.
	Alarm time.Duration
}

// ToCalendar writes events as iCalendar (RFC 5545), stamped with the time they
// were made.
func ToCalendar(name string, made time.Time, events []Event) []byte {
	c := ics.NewCalendarFor("Yembra")
	c.SetMethod(ics.MethodPublish)
	c.SetName(oneLine(name))
	for _, e := range events {
		v := c.AddEvent(oneLine(e.ID))
		v.SetDtStampTime(made)
		v.SetStartAt(e.Start)
		v.SetEndAt(e.End)
		v.SetSummary(oneLine(e.Name))
		v.SetDescription(lines(e.Text))
		if e.Alarm < 0 {
			continue
		}
		a := v.AddAlarm()
		a.SetAction(ics.ActionDisplay)
		a.SetDescription(oneLine(e.Name))
		a.SetTrigger(fmt.Sprintf("-PT%dM", int(e.Alarm.Minutes())))
	}
	return []byte(c.Serialize(ics.WithNewLineWindows))
}
