import { mount } from 'svelte';
import './app.css';
import App from './App.svelte';
import { tellInTheBackground } from './outbox/background';
import { speakEverywhere } from './ui/dialect.svelte';
import { keepShell } from './version.svelte';

speakEverywhere();
mount(App, { target: document.getElementById('table')! });
keepShell();
void tellInTheBackground();
