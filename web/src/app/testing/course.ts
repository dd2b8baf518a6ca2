import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { NEW_PLAN, type ClassPlan } from '@zeitpunkt/core/series/plan';
import type { Type } from '@angular/core';
import { authFeature } from '../state/auth';
import { FakeServer } from './fake-server';
import { render, until } from './render';

/** A lesson of half past, as the list has it. */
export const LESSON = {
  id: 'l1',
  revision: 1,
  title: 'Half past at the harbour',
  facts: {
    goal: 'Read half past.',
    rung: 'half-past',
    targetMinutes: 20,
    plannedSec: 1200,
    beatCount: 15,
    questionCount: 3,
    times: [27_000, 9000, 30_600],
    findings: 0,
  },
  problem: null,
  archivedAtMs: null,
};

/** It was taught to Terns. */
export const SESSION = {
  id: 's1',
  lessonId: 'l1',
  classId: 'c1',
  title: LESSON.title,
  className: 'Terns',
  phase: 'ended',
  pace: 'live',
  simulated: false,
  createdAtMs: 0,
  endedAtMs: 1,
  participantCount: 24,
  responseCount: 70,
};

export const lessonOf = (id: string, title: string) => ({ ...LESSON, id, title });

/** A class that was asked nothing yet. */
export const NO_STANDING = { rungs: [], names: [], pupils: [], lessons: [], stoodOut: null };

interface CourseGiven {
  readonly lessons?: readonly object[];
  readonly sessions?: readonly object[];
  readonly plan?: ClassPlan;
  readonly standing?: object;
  readonly pupils?: number;
}

/** The replies of a server to a teacher of one class, Terns. */
export function courseServer(given: CourseGiven = {}): FakeServer {
  return new FakeServer({
    'GET /api/clock': { leap: null },
    'GET /api/classes': [{ id: 'c1', name: 'Terns', pupilCount: given.pupils ?? 26 }],
    'GET /api/lessons': given.lessons ?? [LESSON],
    'GET /api/sessions': given.sessions ?? [],
    'GET /api/classes/c1/plan': { revision: 4, plan: given.plan ?? NEW_PLAN },
    'POST /api/classes/c1/plan': () => ({ revision: 5 }),
    'GET /api/classes/c1/standing': given.standing ?? NO_STANDING,
  });
}

/** A place of the course of Terns, with everything there; where it would go is only noted. */
export async function openPlace(place: Type<unknown>, inputs: Record<string, unknown> = {}) {
  const providers = [provideRouter([]), provideStore(), provideState(authFeature)];
  const opening = render(place, inputs, providers);
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  const screen = await opening;
  // The frame fetches the classes for all places.
  const { CurrentClass } = await import('../shared/current-class');
  await TestBed.inject(CurrentClass).load();
  await until(() => screen.page.querySelector('zp-loading') === null);
  // A place is drawn within some frames.
  for (let frame = 0; frame < 6; frame++) await new Promise(requestAnimationFrame);
  await screen.settled();
  return { ...screen, navigate };
}
