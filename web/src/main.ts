import { mount } from 'svelte';
import './app.css';
import { AfterAPause } from './api/pause';
import App from './App.svelte';
import { tellInTheBackground } from './outbox/background';
import { speakEverywhere } from './ui/dialect.svelte';
import { keepShell } from './version.svelte';

/** What nobody sees is fetched when the first page is there, ms: what a browser keeps, and what it needs to install. */
const AFTER_THE_FIRST = 1500;
const MANIFEST = '/manifest.webmanifest';

speakEverywhere();
mount(App, { target: document.getElementById('table')! });
void tellInTheBackground();
new AfterAPause(() => {
  keepShell();
  document.head.append(Object.assign(document.createElement('link'), { rel: 'manifest', href: MANIFEST }));
}).in(AFTER_THE_FIRST);
