type Theme = 'paper' | 'slate';

const stored = localStorage.getItem('ingegno-theme');

class ThemeChoice {
  current = $state<Theme>(
    stored === 'paper' || stored === 'slate'
      ? stored
      : matchMedia('(prefers-color-scheme: dark)').matches
        ? 'slate'
        : 'paper',
  );

  toggle(): void {
    this.current = this.current === 'paper' ? 'slate' : 'paper';
    localStorage.setItem('ingegno-theme', this.current);
  }
}

export const theme = new ThemeChoice();
