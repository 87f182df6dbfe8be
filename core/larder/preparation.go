package larder

// Preparation is one thing done to a swap beforehand. Hands and Wait are
// minutes of work and of waiting.
type Preparation struct {
	Text  string   `json:"text" yaml:"text"`
	Hands float64  `json:"hands" yaml:"hands"`
	Wait  float64  `json:"wait" yaml:"wait"`
	Cue   string   `json:"cue" yaml:"cue"`
	Kit   []string `json:"kit" yaml:"kit"`
	// Makes is the part of the swap that is made with it, where it is not the last that makes it all.
	Makes string `json:"-" yaml:"makes"`
	// Unfired is what is done instead where the dish itself browns it.
	Unfired *Preparation `json:"unfired,omitempty" yaml:"unfired"`
	// Browns is how many minutes the dish browns it then at least, both sides together; 0 where its own minutes do.
	Browns float64 `json:"-" yaml:"browns"`
}
