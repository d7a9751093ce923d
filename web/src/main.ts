import { mount } from 'svelte';
import './app.css';
import { AFTER_THE_FIRST, AfterAPause } from './api/pause';
import App from './App.svelte';
import { tellInTheBackground } from './outbox/background';
import { speakEverywhere } from './ui/dialect.svelte';
import { keepShell } from './version.svelte';

/** What a browser needs to install the application. */
const MANIFEST = '/manifest.webmanifest';

speakEverywhere();
mount(App, { target: document.getElementById('table')! });
void tellInTheBackground();
new AfterAPause(() => {
  keepShell();
  document.head.append(Object.assign(document.createElement('link'), { rel: 'manifest', href: MANIFEST }));
}).in(AFTER_THE_FIRST);
