import { mount } from 'svelte';
import Desk from './Desk.svelte';
import './desk.css';

const target = document.getElementById('app');
if (!target) throw new Error('The page has no place for the application.');

export default mount(Desk, { target });
