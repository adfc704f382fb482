import '@fontsource-variable/newsreader';
import '@fontsource-variable/newsreader/wght-italic.css';
import '@fontsource-variable/source-sans-3';
import './ui/tokens.css';
import { mount } from 'svelte';
import App from './app/App.svelte';
import { showTheme } from './app/theme';

showTheme();
mount(App, { target: document.getElementById('app')! });
