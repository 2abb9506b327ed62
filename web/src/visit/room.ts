import type { StepRoom, VisitState } from '@fonte/core/round';
import { createContext, useContext, type ComponentType } from 'react';

/** A page of a room. A part of the address that ends in `?` may be left out. */
export interface RoomPage {
  path: string;
  /** Fetches it when it is opened; null for one that comes along with the application. */
  page: (() => Promise<ComponentType>) | null;
}

/** A place at a point where something of the visit is done. */
export interface Place {
  room: StepRoom;
  label: string;
  /** The run it is, where a visit has several. */
  procedure?: string;
}

/** A room of the work as the page has it: its addresses and what stands there. */
export interface WebRoom {
  name: string;
  pages: readonly RoomPage[];
  /** Where it is entered from the head of every page. */
  entrance?: { path: string; label: string };
  /** Its places at a visit. */
  places?: (visit: VisitState) => readonly Place[];
  /** What it says at the head of every page at a point. */
  note?: ComponentType<{ visit: VisitState }>;
  /** What it offers beside the name of the point, on every page there. */
  besideName?: ComponentType<{ visit: VisitState }>;
}

export const RoomsContext = createContext<readonly WebRoom[]>([]);

/** What rooms say at the head of every page at a point. */
export function useNotes(): { name: string; Note: ComponentType<{ visit: VisitState }> }[] {
  return useContext(RoomsContext).flatMap(({ name, note }) => (note ? [{ name, Note: note }] : []));
}

/** What rooms offer beside the name of the point, on every page there. */
export function useBesideName(): { name: string; Offer: ComponentType<{ visit: VisitState }> }[] {
  return useContext(RoomsContext).flatMap(({ name, besideName }) => (besideName ? [{ name, Offer: besideName }] : []));
}

/** The places of a visit, in the order of the work. */
export function usePlaces(visit: VisitState): Place[] {
  return useContext(RoomsContext).flatMap((room) => room.places?.(visit) ?? []);
}
