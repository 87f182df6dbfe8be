/** How a screen calls: each can be turned off, and is kept in the browser. */
export interface Calls {
  sound: boolean;
  flash: boolean;
  shake: boolean;
}

const place = "yembra.stove.calls";

export function readCalls(): Calls {
  const all = { sound: true, flash: true, shake: true };
  try {
    return { ...all, ...(JSON.parse(localStorage.getItem(place) ?? "{}") as Partial<Calls>) };
  } catch {
    return all;
  }
}

export function keepCalls(c: Calls) {
  localStorage.setItem(place, JSON.stringify(c));
}

let audio: AudioContext | null = null;

/** Three rising tones, made here. */
export function ring() {
  if (typeof AudioContext === "undefined") return;
  audio ??= new AudioContext();
  const start = audio.currentTime;
  [523, 659, 784].forEach((hertz, i) => {
    if (!audio) return;
    const tone = audio.createOscillator();
    const loud = audio.createGain();
    tone.frequency.value = hertz;
    tone.type = "triangle";
    const at = start + i * 0.22;
    loud.gain.setValueAtTime(0.0001, at);
    loud.gain.exponentialRampToValueAtTime(0.4, at + 0.03);
    loud.gain.exponentialRampToValueAtTime(0.0001, at + 0.2);
    tone.connect(loud).connect(audio.destination);
    tone.start(at);
    tone.stop(at + 0.22);
  });
}

export function shake() {
  if ("vibrate" in navigator) navigator.vibrate([120, 80, 120]);
}
