import { NavLink } from 'react-router';

/** The ways a board that exists is brought in. */
export function Doors() {
  return (
    <nav aria-label="Ways in" className="doors">
      <NavLink to="/measured">Measured</NavLink>
      <NavLink to="/bring/drawing">A drawing</NavLink>
      <NavLink to="/bring/photo">A picture</NavLink>
      <NavLink to="/bring/scan">A scan</NavLink>
      <NavLink to="/bring/rail">A rail</NavLink>
    </nav>
  );
}
