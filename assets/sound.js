// Short tones of our own and a voice of the device itself, each off until somebody turns it on; without either the page goes on.
const TONES = { begin: [523, 659], look: [659], mark: [784, 784], late: [440, 349, 440] };
const SECONDS = 0.18;
const KEY = 'day-sound';

let context = null;

export const isOn = () => localStorage.getItem(KEY) === 'on';

export function turn() {
    localStorage.setItem(KEY, isOn() ? 'off' : 'on');
    if (isOn()) {
        tone('begin');
    }
}

/** Never a voice that asks another host. */
function voice() {
    const voices = window.speechSynthesis?.getVoices() ?? [];
    return voices.find((v) => v.localService && v.lang.startsWith(document.documentElement.lang)) ?? null;
}

export const canSpeak = () => voice() !== null;

export function tone(kind) {
    try {
        context ??= new AudioContext();
        TONES[kind].forEach((hertz, k) => {
            const oscillator = context.createOscillator();
            const gain = context.createGain();
            const from = context.currentTime + k * SECONDS;
            oscillator.frequency.value = hertz;
            gain.gain.setValueAtTime(0.0001, from);
            gain.gain.exponentialRampToValueAtTime(0.4, from + 0.02);
            gain.gain.exponentialRampToValueAtTime(0.0001, from + SECONDS);
            oscillator.connect(gain).connect(context.destination);
            oscillator.start(from);
            oscillator.stop(from + SECONDS);
        });
    } catch (error) {
        console.warn(error);
    }
    navigator.vibrate?.(kind === 'late' ? [200, 100, 200] : 120);
}

export function speak(words) {
    const own = voice();
    if (own) {
        const said = new SpeechSynthesisUtterance(words);
        said.voice = own;
        window.speechSynthesis.speak(said);
    }
}
