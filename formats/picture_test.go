package formats_test

import (
	"bytes"
	"encoding/binary"
	"image"
	"image/color"
	"image/gif"
	"image/jpeg"
	"image/png"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/formats"
)

// halves is a picture of which the left half is red and the right one blue.
func halves(w, h int) image.Image {
	img := image.NewRGBA(image.Rect(0, 0, w, h))
	for y := range h {
		for x := range w {
			c := color.RGBA{200, 0, 0, 255}
			if x >= w/2 {
				c = color.RGBA{0, 0, 200, 255}
			}
			img.Set(x, y, c)
		}
	}
	return img
}

// withExif puts an Exif segment into a JPEG: turned as the orientation says, and
// taken at a place.
func withExif(t *testing.T, body []byte, orientation uint16) []byte {
	t.Helper()
	tiff := []byte("MM\x00\x2a\x00\x00\x00\x08\x00\x01\x01\x12\x00\x03\x00\x00\x00\x01")
	tiff = binary.BigEndian.AppendUint16(tiff, orientation)
	tiff = append(tiff, 0, 0, 0, 0, 0, 0)
	segment := append([]byte("Exif\x00\x00"), append(tiff, []byte("GPS 54.3N 10.1E made by a telephone")...)...)
	out := append([]byte{0xff, 0xd8, 0xff, 0xe1}, binary.BigEndian.AppendUint16(nil, uint16(len(segment)+2))...)
	return append(append(out, segment...), body[2:]...)
}

func TestAPictureIsShrunkAndFreedOfWhatTheCameraWrote(t *testing.T) {
	var plain bytes.Buffer
	require.NoError(t, jpeg.Encode(&plain, halves(2400, 1200), nil))
	raw := withExif(t, plain.Bytes(), 1)
	require.Contains(t, string(raw), "GPS")
	p, err := formats.NewPicture(raw)
	require.NoError(t, err)
	require.Equal(t, [2]int{1600, 800}, [2]int{p.Width, p.Height})
	for _, body := range [][]byte{p.Full, p.Small} {
		require.NotContains(t, string(body), "Exif")
		require.NotContains(t, string(body), "telephone")
		require.NoError(t, formats.CheckPicture(body))
	}
	require.ErrorIs(t, formats.CheckPicture(raw), formats.ErrPicture)
	small, err := jpeg.DecodeConfig(bytes.NewReader(p.Small))
	require.NoError(t, err)
	require.Equal(t, 320, small.Width)

	// Taken with the telephone on its side, it stands upright.
	p, err = formats.NewPicture(withExif(t, plain.Bytes(), 6))
	require.NoError(t, err)
	require.Equal(t, [2]int{800, 1600}, [2]int{p.Width, p.Height})
	img, err := jpeg.Decode(bytes.NewReader(p.Full))
	require.NoError(t, err)
	red, _, _, _ := img.At(400, 200).RGBA()
	require.Greater(t, red, uint32(0x8000), "what was left is on top")
}

func TestAPictureShinesThroughOntoWhite(t *testing.T) {
	var body bytes.Buffer
	require.NoError(t, png.Encode(&body, image.NewNRGBA(image.Rect(0, 0, 40, 30))))
	p, err := formats.NewPicture(body.Bytes())
	require.NoError(t, err)
	require.Equal(t, [2]int{40, 30}, [2]int{p.Width, p.Height}, "nothing is made larger")
	img, err := jpeg.Decode(bytes.NewReader(p.Full))
	require.NoError(t, err)
	r, g, b, _ := img.At(20, 15).RGBA()
	require.Greater(t, min(r, g, b), uint32(0xf000))
}

func TestWhatIsNoPictureIsRefusedWithAReason(t *testing.T) {
	var animated, good bytes.Buffer
	require.NoError(t, gif.Encode(&animated, halves(20, 20), nil))
	require.NoError(t, png.Encode(&good, halves(20, 20)))
	bomb := bytes.Clone(good.Bytes())
	binary.BigEndian.PutUint32(bomb[16:], 60_000) // as wide as it says, whatever follows
	binary.BigEndian.PutUint32(bomb[20:], 60_000)
	for name, body := range map[string][]byte{
		"neither a JPEG nor a PNG": animated.Bytes(), "JPEG": []byte("%PDF-1.7"), "nor": nil,
		"breaks off": good.Bytes()[:len(good.Bytes())-20], "16 MiB": make([]byte, formats.MostPictureBytes+1),
	} {
		_, err := formats.NewPicture(body)
		require.ErrorIs(t, err, formats.ErrPicture)
		require.ErrorContains(t, err, name)
	}
	_, err := formats.NewPicture(bomb)
	require.ErrorIs(t, err, formats.ErrPicture)
}
