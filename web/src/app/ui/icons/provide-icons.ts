import { type EnvironmentProviders, inject, provideEnvironmentInitializer } from '@angular/core';
import { MatIconRegistry } from '@angular/material/icon';
import { DomSanitizer } from '@angular/platform-browser';
import { ICONS } from './icons';

/** Makes every icon known to `<mat-icon svgIcon="…">`; nothing is fetched. */
export function provideIcons(): EnvironmentProviders {
  return provideEnvironmentInitializer(() => {
    const [registry, sanitizer] = [inject(MatIconRegistry), inject(DomSanitizer)];
    for (const [name, svg] of Object.entries(ICONS)) registry.addSvgIconLiteral(name, sanitizer.bypassSecurityTrustHtml(svg));
  });
}
