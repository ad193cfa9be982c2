/** Two soft tones, made anew each time: no file is needed. */
export function playTones(): void {
  if (typeof AudioContext === 'undefined') return;
  const audio = new AudioContext();
  [660, 880].forEach((frequency, index) => {
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    const from = audio.currentTime + index * 0.22;
    tone.frequency.value = frequency;
    volume.gain.setValueAtTime(0.0001, from);
    volume.gain.exponentialRampToValueAtTime(0.2, from + 0.03);
    volume.gain.exponentialRampToValueAtTime(0.0001, from + 0.4);
    tone.connect(volume).connect(audio.destination);
    tone.start(from);
    tone.stop(from + 0.45);
  });
  setTimeout(() => void audio.close(), 1500);
}
