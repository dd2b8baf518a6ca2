import { Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router, withComponentInputBinding } from '@angular/router';
import { provideState, provideStore, Store } from '@ngrx/store';
import { fireEvent, screen } from '@testing-library/dom';
import { CurrentClass } from '../../shared/current-class';
import { authActions, authFeature } from '../../state/auth';
import { FakeServer } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { Frame } from './frame';

@Component({ template: 'here' })
class Somewhere {}

const CLASSES = [
  { id: 'c1', name: 'Terns', pupilCount: 26 },
  { id: 'c2', name: 'Puffins', pupilCount: 1 },
];

async function open(address: string, classes: readonly object[] = CLASSES) {
  localStorage.clear();
  const server = new FakeServer({ 'GET /api/classes': classes, 'POST /api/classes': {} });
  const tools = await render(Frame, {}, [
    provideStore(),
    provideState(authFeature),
    provideRouter(
      [
        { path: 'today', component: Somewhere },
        { path: 'classes/:id/review', component: Somewhere, data: { ofClass: true } },
        { path: 'classes/:id/pupils', component: Somewhere, data: { ofClass: true } },
        { path: 'lessons/:id', component: Somewhere, data: { working: true, rail: '/lessons' } },
      ],
      withComponentInputBinding(),
    ),
  ]);
  const router = TestBed.inject(Router);
  const go = async (to: string) => {
    await router.navigateByUrl(to);
    await tools.settled();
  };
  await go(address);
  await until(() => TestBed.inject(CurrentClass).classes() !== null);
  await tools.settled();
  const chooses = async (name: RegExp) => {
    await tools.press(/Terns|Puffins|class/i);
    fireEvent.click(screen.getByRole('menuitem', { name }));
    await tools.settled();
  };
  return { ...tools, router, server, go, chooses };
}
const here = (page: HTMLElement) => [...page.querySelectorAll('[aria-current="page"]')].map((link) => textOf(link));

test('the class that is chosen is that of all places, and the address of one that is about a class goes along', async () => {
  const { page, router, chooses, go } = await open('/classes/c1/review');
  expect(textOf(page.querySelector('.class')!)).toMatch(/^Terns 26 pupils/);
  await chooses(/Puffins/);
  expect(router.url).toBe('/classes/c2/review');
  expect(textOf(page.querySelector('.class')!)).toMatch(/^Puffins 1 pupil\b/);
  await go('/today');
  await chooses(/Terns/);
  expect(router.url).toBe('/today?class=c1');
  expect(page.querySelector<HTMLAnchorElement>('a[href*="/pupils"]')!.getAttribute('href')).toBe('/classes/c1/pupils');
});

test('an address chooses its class; the place that is seen is marked, also where it stands below another', async () => {
  const { page, go } = await open('/today?class=c2');
  expect(textOf(page.querySelector('.class')!)).toContain('Puffins');
  expect(here(page)).toEqual(['Today']);
  expect(page.querySelector('nav')!.classList.contains('narrow')).toBe(false);
  await go('/lessons/l1');
  expect(here(page)).toEqual(['Lessons']);
  expect(page.querySelector('nav')!.classList.contains('narrow')).toBe(true); // whoever builds has the width for it
});

test('without a class there is no way to its review, and the first one is made at a press', async () => {
  const { page, server, chooses, find } = await open('/today', []);
  expect(find.queryByRole('link', { name: /Review/ })).toBeNull();
  server.on('GET /api/classes', [{ id: 'x', name: 'Class 1', pupilCount: 0 }]);
  await chooses(/New class/);
  await until(() => server.sent('POST /api/classes').length === 1);
  const [made] = server.sent('POST /api/classes') as { id: string; name: string }[];
  await until(() => TestBed.inject(Router).url === `/classes/${made!.id}/pupils`);
  expect(textOf(page)).not.toContain('undefined');
});

test('whoever teaches is named as there is room for it, and chooses how everything looks', async () => {
  const { press, settled, page } = await open('/today');
  TestBed.inject(Store).dispatch(authActions.told({ me: { teacher: { id: 't', name: 'Ms Odalys Fenn' }, setUpNeeded: false } }));
  await settled();
  expect(textOf(page.querySelector('.person')!)).toBe('Ms Fenn');
  await press(/Odalys Fenn/);
  const looks = () => screen.getAllByRole('menuitemradio').map((one) => one.getAttribute('aria-checked'));
  expect(looks().filter((is) => is === 'true')).toHaveLength(1);
  fireEvent.click(screen.getAllByRole('menuitemradio')[1]!);
  await settled();
  expect(localStorage.length).toBeGreaterThan(0); // kept on the device
});
