const LONG_S = 0.16;
let sound: AudioContext | null = null;

/** A short tone, where the browser lets a page be heard. */
export function tone(hertz: number, seconds = LONG_S): void {
  sound ??= new AudioContext();
  const [source, volume] = [sound.createOscillator(), sound.createGain()];
  const { currentTime } = sound;
  source.frequency.value = hertz;
  volume.gain.setValueAtTime(0.2, currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, currentTime + seconds);
  source.connect(volume).connect(sound.destination);
  source.start();
  source.stop(currentTime + seconds);
}
