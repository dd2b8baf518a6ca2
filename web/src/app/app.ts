import { Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';

/** The frame that holds whatever place the address names. */
@Component({ selector: 'app-root', imports: [RouterOutlet], template: '<router-outlet />' })
export class App {}
