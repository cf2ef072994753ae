import { useEffect, useRef, useState } from 'react';
import type { PhoneFix, PhoneMotion } from '../../../core';
import { ownAddress } from '../../ui/ownAddress';

/** What a phone has told so far. */
export interface PhoneReadings {
  readonly fixes: readonly PhoneFix[];
  readonly motion: readonly PhoneMotion[];
}

export type PhoneTrouble = 'no position' | 'denied' | 'unavailable' | 'no stand-in';

/** A phone that is listened to. */
export interface Phone {
  readonly listening: boolean;
  readonly trouble: PhoneTrouble | null;
  /** Newest accuracy, m, and speed, m/s; null while there is none */
  readonly accuracy: number | null;
  readonly speed: number | null;
  readonly fixes: number;
  /** Whether the accelerometer tells anything */
  readonly felt: boolean;
  readonly listen: () => void;
  /** Ends listening, and hands over what was told */
  readonly finish: () => PhoneReadings;
  /** A simulated phone in place of this one */
  readonly simulate: (kmh: number) => Promise<PhoneReadings | null>;
}

/** Most readings that are kept: half an hour of them. */
const MOST = 100_000;

/** Asks where that has to be asked for. */
async function askMotion(): Promise<boolean> {
  if (!('DeviceMotionEvent' in window)) return false;
  const asks = DeviceMotionEvent as unknown as { requestPermission?: () => Promise<string> };
  if (!asks.requestPermission) return true;
  try {
    return (await asks.requestPermission()) === 'granted';
  } catch {
    return false;
  }
}

/** This phone's position and accelerometer, where the browser gives them. */
export function usePhone(): Phone {
  const [listening, setListening] = useState(false);
  const [trouble, setTrouble] = useState<PhoneTrouble | null>(null);
  const [newest, setNewest] = useState<PhoneFix | null>(null);
  const [count, setCount] = useState(0);
  const [felt, setFelt] = useState(false);
  const told = useRef<{ fixes: PhoneFix[]; motion: PhoneMotion[] }>({ fixes: [], motion: [] });
  useEffect(() => {
    if (!listening) return;
    const watch = navigator.geolocation.watchPosition(
      ({ coords, timestamp }) => {
        const { latitude, longitude, accuracy } = coords;
        const fix = { time: timestamp / 1000, latitude, longitude, accuracy, speed: coords.speed ?? null };
        if (told.current.fixes.length < MOST) told.current.fixes.push(fix);
        setTrouble(null);
        setNewest(fix);
        setCount(told.current.fixes.length);
      },
      (error) => {
        const denied = error.code === error.PERMISSION_DENIED;
        setTrouble(denied ? 'denied' : 'unavailable');
        // Under a bridge there is none for a while; a phone that may not say never will.
        if (denied) setListening(false);
      },
      { enableHighAccuracy: true, maximumAge: 0, timeout: 30_000 },
    );
    const onMotion = (event: DeviceMotionEvent) => {
      const { acceleration } = event;
      if (acceleration?.x == null || acceleration.y == null || acceleration.z == null) return;
      const time = (performance.timeOrigin + event.timeStamp) / 1000;
      const { x, y, z } = acceleration;
      if (told.current.motion.length < MOST) told.current.motion.push({ time, x, y, z });
      setFelt(true);
    };
    window.addEventListener('devicemotion', onMotion);
    return () => {
      navigator.geolocation.clearWatch(watch);
      window.removeEventListener('devicemotion', onMotion);
    };
  }, [listening]);
  return {
    listening,
    trouble,
    accuracy: newest?.accuracy ?? null,
    speed: newest?.speed ?? null,
    fixes: count,
    felt,
    listen: () => {
      if (!('geolocation' in navigator)) {
        setTrouble('no position');
        return;
      }
      told.current = { fixes: [], motion: [] };
      setTrouble(null);
      setNewest(null);
      setCount(0);
      setFelt(false);
      void askMotion().then(() => setListening(true));
    },
    finish: () => {
      setListening(false);
      return told.current;
    },
    simulate: async (kmh) => {
      setTrouble(null);
      const seed = Math.floor(Math.random() * 1e6);
      try {
        const answer = await fetch(ownAddress(`stand-in/phone?speed=${kmh}&seed=${seed}`));
        if (!answer.ok) throw new Error(String(answer.status));
        return (await answer.json()) as PhoneReadings;
      } catch {
        setTrouble('no stand-in');
        return null;
      }
    },
  };
}
