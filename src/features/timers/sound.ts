/** Three short tones, made here: nothing is loaded. Silent where the browser has no sound or was not touched yet. */
export function ring(): void {
  try {
    const context = new AudioContext();
    [0, 0.35, 0.7].forEach((at, index) => {
      const tone = context.createOscillator();
      const volume = context.createGain();
      tone.frequency.value = index === 2 ? 880 : 660;
      volume.gain.setValueAtTime(0.0001, context.currentTime + at);
      volume.gain.exponentialRampToValueAtTime(0.4, context.currentTime + at + 0.02);
      volume.gain.exponentialRampToValueAtTime(0.0001, context.currentTime + at + 0.3);
      tone.connect(volume).connect(context.destination);
      tone.start(context.currentTime + at);
      tone.stop(context.currentTime + at + 0.32);
      if (index === 2) tone.onended = () => void context.close();
    });
  } catch {
    // No sound here: the page says it in words.
  }
}

/** Reads a sentence aloud where the browser can. */
export function speak(text: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}
