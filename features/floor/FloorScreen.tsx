'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useReducer, useRef } from 'react';
import { awayFrom } from '@/core/running/follow';
import type { FloorRole } from '@/core/running/roles';
import { shortNames } from '@/features/evening/names';
import type { FloorBundle } from '@/server/running/floorBundle';
import { BottomBar } from './BottomBar';
import { FloorProvider, type FloorClass } from './context';
import { FloorBody, Notices } from './FloorBody';
import classes from './floor.module.css';
import { FloorSheets } from './FloorSheets';
import type { Other } from './NewAtDoor';
import { layBy } from './later';
import { keepOffline } from './offline';
import { placeInClass } from './place';
import { tidy } from './store';
import { TopBar } from './TopBar';
import { useFloor, type Floor } from './useFloor';
import { useWakeLock } from '@/design/useNow';
import { useReplan } from './useReplan';
import { firstView, reduceView, type FloorView, type ViewEvent } from './view';

interface FloorScreenProps {
  readonly bundle: FloorBundle;
  readonly role: FloorRole;
  /** Who could still be let in; nobody for an assistant. */
  readonly others: readonly Other[];
}

/** What the page around the class has to do: keep itself on the device, and follow what changed. */
function usePage({ revision: bundleRevision }: FloorBundle, { revision, link }: Floor): void {
  const router = useRouter();
  useEffect(() => {
    layBy();
    void tidy(Date.now()).catch(() => undefined);
  }, []);
  // The page on the device is kept anew with every change to who is in the class.
  useEffect(() => void keepOffline(), [bundleRevision]);
  const isOlder = revision !== null && revision > bundleRevision;
  useEffect(() => {
    if (isOlder) router.refresh();
  }, [isOlder, revision, router]);
  // Put out, or signed out: the page that asks also looks after what never went.
  useEffect(() => {
    if (link === 'out') {
      window.location.replace(window.location.protocol === 'https:' ? '/pair' : '/desk');
    }
  }, [link]);
}

/** A reload shows what was on the screen; a clock that runs is in the class itself. */
function useKeptScreen(uid: string, { over }: FloorView, tell: (event: ViewEvent) => void): void {
  const key = `levitar-screen-${uid}`;
  const isFirst = useRef(true);
  useEffect(() => {
    const kept = sessionStorage.getItem(key);
    if (kept === 'pace' || kept === 'door' || kept === 'load') tell({ kind: 'toggle', what: kept });
    // Once a page.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  useEffect(() => {
    if (!isFirst.current) sessionStorage.setItem(key, over.kind);
    isFirst.current = false;
  }, [key, over.kind]);
}

/** The running class on a tablet: now, next, the clock; everything else within two taps. */
export function FloorScreen({ bundle, role, others }: FloorScreenProps) {
  const isTeacher = role === 'teacher';
  const floor = useFloor(bundle.uid);
  const replan = useReplan(floor, bundle, isTeacher);
  const [view, tell] = useReducer(reduceView, firstView);
  useKeptScreen(bundle.uid, view, tell);
  useWakeLock(floor.state.endedMs === null);
  usePage(bundle, floor);
  const here = useMemo(() => {
    const away = awayFrom(floor.state, bundle.plan);
    return bundle.members.map(({ id }) => id).filter((id) => !away.has(id));
  }, [floor.state, bundle]);
  const names = useMemo(() => shortNames(bundle.members), [bundle]);
  const value: FloorClass = { floor, bundle, names, here, isTeacher, tell };
  const place = placeInClass(floor.state, bundle.plan);
  return (
    <FloorProvider value={value}>
      <div className={classes.screen}>
        <TopBar replan={replan} />
        <Notices view={view} />
        <FloorBody view={view} place={place} others={others} />
        <BottomBar view={view} place={place} />
        <FloorSheets view={view} place={place} />
      </div>
    </FloorProvider>
  );
}
