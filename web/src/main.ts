import { mount } from 'svelte';
import './app.css';
import App from './App.svelte';
import { tellInTheBackground } from './outbox/background';
import { keepShell } from './version.svelte';

mount(App, { target: document.getElementById('table')! });
keepShell();
void tellInTheBackground();
