package kiver.core.emerge;

import java.util.List;

/**
 * Where the corners of a tray's cells lie in a photograph, in pixels, as one reads: above left, above right, below right, below
 * left. The way a plane is seen by a camera is undone by the projective mapping of a square onto four points.
 *
 * <p>Reference: Heckbert (1989), "Fundamentals of Texture Mapping and Image Warping", section 2.2.3.
 *
 * @param corners four of them, going round clockwise
 */
public record TrayCorners(List<Point> corners) {

    /** A place in a photograph, in pixels. */
    public record Point(double x, double y) {}

    public TrayCorners {
        corners = List.copyOf(corners);
        if (corners.size() != 4) {
            throw new IllegalArgumentException("A tray has four corners, not " + corners.size() + ".");
        }
    }

    /** Whether they go round clockwise without a dent. */
    public boolean isTray() {
        for (int index = 0; index < 4; index++) {
            Point one = corners.get(index);
            Point two = corners.get((index + 1) % 4);
            Point three = corners.get((index + 2) % 4);
            double turn = (two.x() - one.x()) * (three.y() - two.y()) - (two.y() - one.y()) * (three.x() - two.x());
            if (!(turn > 0)) {
                return false;
            }
        }
        return true;
    }

    /** The area that they enclose, in pixels. */
    public double area() {
        double twice = 0;
        for (int index = 0; index < 4; index++) {
            Point one = corners.get(index);
            Point two = corners.get((index + 1) % 4);
            twice += one.x() * two.y() - two.x() * one.y();
        }
        return Math.abs(twice) / 2;
    }

    /** Finds where a place on the tray lies in the photograph. */
    Mapping mapping() {
        Point a = corners.get(0);
        Point b = corners.get(1);
        Point c = corners.get(2);
        Point d = corners.get(3);
        double dx1 = b.x() - c.x();
        double dx2 = d.x() - c.x();
        double dx3 = a.x() - b.x() + c.x() - d.x();
        double dy1 = b.y() - c.y();
        double dy2 = d.y() - c.y();
        double dy3 = a.y() - b.y() + c.y() - d.y();
        double determinant = dx1 * dy2 - dx2 * dy1;
        double g = (dx3 * dy2 - dx2 * dy3) / determinant;
        double h = (dx1 * dy3 - dx3 * dy1) / determinant;
        return new Mapping(
                b.x() - a.x() + g * b.x(),
                d.x() - a.x() + h * d.x(),
                a.x(),
                b.y() - a.y() + g * b.y(),
                d.y() - a.y() + h * d.y(),
                a.y(),
                g,
                h);
    }

    /** The mapping from a square of side 1, from above left, onto the photograph. */
    record Mapping(double xx, double xy, double x0, double yx, double yy, double y0, double g, double h) {

        Point at(double across, double down) {
            double depth = g * across + h * down + 1;
            return new Point((xx * across + xy * down + x0) / depth, (yx * across + yy * down + y0) / depth);
        }
    }
}
