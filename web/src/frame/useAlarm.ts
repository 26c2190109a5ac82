import { useEffect } from 'react';

const EVERY_MS = 8_000;
const TONES_HZ = [880, 660] as const;
const TONE_S = 0.35;

function sound(context: AudioContext) {
  TONES_HZ.forEach((hertz, i) => {
    const at = context.currentTime + i * TONE_S;
    const tone = context.createOscillator();
    const loudness = context.createGain();
    tone.frequency.value = hertz;
    loudness.gain.setValueAtTime(0.25, at);
    loudness.gain.exponentialRampToValueAtTime(0.001, at + TONE_S);
    tone.connect(loudness).connect(context.destination);
    tone.start(at);
    tone.stop(at + TONE_S);
  });
}

/** Two tones again and again while it is due. Browsers let a page sound only after somebody has pressed something in it. */
export function useAlarm(due: boolean) {
  useEffect(() => {
    if (!due || !('AudioContext' in window)) return;
    const context = new AudioContext();
    const again = () => {
      void context.resume();
      if (context.state === 'running') sound(context);
    };
    again();
    const timer = setInterval(again, EVERY_MS);
    return () => {
      clearInterval(timer);
      void context.close();
    };
  }, [due]);
}
