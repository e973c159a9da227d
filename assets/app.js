import '@fontsource-variable/yrsa/wght.css';
import '@fontsource/mukta/latin-400.css';
import '@fontsource/mukta/latin-600.css';
import './app.scss';
import Alpine from '@alpinejs/csp';
import morph from '@alpinejs/morph';
import { board } from './board.js';
import { lamp } from './lamp.js';
import { live } from './live.js';

Alpine.plugin(morph);
Alpine.data('live', live);
Alpine.data('board', board);
Alpine.data('lamp', lamp);
Alpine.start();
document.documentElement.dataset.ready = 'yes';
