package formats

import (
	"bytes"
	"errors"
	"fmt"
	"image"
	"image/color"
	"image/jpeg"
	_ "image/png" // pictures come as PNG, too

	"github.com/disintegration/imaging"
)

// Picture is a photograph made ready to be kept: shrunk, upright, as JPEG, without
// anything that the camera wrote beside it.
type Picture struct {
	Width, Height int
	Full, Small   []byte
}

// ErrPicture is wrapped by every refusal of a picture.
var ErrPicture = errors.New("the picture is refused")

// Bounds of pictures: what may come in, in bytes and in points, and the longest side
// of what is kept, large and small.
const (
	MostPictureBytes  = 16 << 20
	mostPicturePoints = 32_000_000
	longestSide       = 1600
	longestSmall      = 320
	pictureQuality    = 82
)

// NewPicture takes a JPEG or PNG in. Everything but the points is lost on the way:
// where and when and with what it was taken.
func NewPicture(body []byte) (Picture, error) {
	if len(body) > MostPictureBytes {
		return Picture{}, fmt.Errorf("%w: it holds more than %d MiB", ErrPicture, MostPictureBytes>>20)
	}
	head, kind, err := image.DecodeConfig(bytes.NewReader(body))
	switch {
	case err != nil || kind != "jpeg" && kind != "png":
		return Picture{}, fmt.Errorf("%w: it is neither a JPEG nor a PNG", ErrPicture)
	case head.Width < 1 || head.Height < 1 || head.Width > mostPicturePoints/head.Height:
		return Picture{}, fmt.Errorf("%w: %d by %d points are more than %d million", ErrPicture, head.Width, head.Height, mostPicturePoints/1_000_000)
	}
	whole, err := imaging.Decode(bytes.NewReader(body), imaging.AutoOrientation(true))
	if err != nil {
		return Picture{}, fmt.Errorf("%w: it breaks off or is damaged", ErrPicture)
	}
	full := imaging.Fit(whole, longestSide, longestSide, imaging.Lanczos)
	p := Picture{Width: full.Bounds().Dx(), Height: full.Bounds().Dy()}
	if p.Full, err = asJPEG(full); err != nil {
		return Picture{}, err
	}
	p.Small, err = asJPEG(imaging.Fit(full, longestSmall, longestSmall, imaging.Lanczos))
	return p, err
}

// asJPEG writes a picture on white, for what shines through.
func asJPEG(img image.Image) ([]byte, error) {
	ground := imaging.New(img.Bounds().Dx(), img.Bounds().Dy(), color.White)
	var out bytes.Buffer
	if err := jpeg.Encode(&out, imaging.Overlay(ground, img, image.Point{}, 1), &jpeg.Options{Quality: pictureQuality}); err != nil {
		return nil, fmt.Errorf("write the picture: %w", err)
	}
	return out.Bytes(), nil
}

// CheckPicture tells whether a picture that was kept is one that NewPicture made.
func CheckPicture(body []byte) error {
	head, kind, err := image.DecodeConfig(bytes.NewReader(body))
	if err != nil || kind != "jpeg" || head.Width > longestSide || head.Height > longestSide || bytes.Contains(body, []byte("Exif\x00")) {
		return fmt.Errorf("%w: it is not as this program keeps pictures", ErrPicture)
	}
	return nil
}
